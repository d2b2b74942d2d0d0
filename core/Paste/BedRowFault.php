<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Message\Code;

/** What is wrong with a row of beds. */
enum BedRowFault: string implements Code
{
    /** Values: line, why. */
    case Because = 'because';
    /** Values: line. */
    case NoBed = 'no-bed';
    /** Values: line. */
    case NoLength = 'no-length';
    /** Values: line, text. */
    case NotUnderstood = 'not-understood';
    /** Values: line, bed. */
    case Taken = 'taken';
    /** Values: line, text, most. */
    case LongRange = 'long-range';
}
