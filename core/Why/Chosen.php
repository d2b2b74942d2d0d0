<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Message\Code;

/** How a planting is, or could have been. */
enum Chosen: string implements Code
{
    /** Values: sow, ready. */
    case SownReady = 'sown-ready';
    /** Values: sow. */
    case Sown = 'sown';
    /** Values: variety, method. */
    case Variety = 'variety';
    /** Values: length. */
    case Long = 'long';
    /** Values: length. */
    case StepLonger = 'step-longer';
    /** Values: length. */
    case StepShorter = 'step-shorter';
    /** Values: beds. */
    case BedFits = 'bed-fits';
    /** Values: beds, rules. */
    case BedBends = 'bed-bends';
}
