<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Message\Code;

/** Why what stands is reckoned anew. */
enum WhyMoved: string implements Code
{
    /** With heat and light as they were. */
    case Anew = 'anew';
    /** Values: month. */
    case CoolMonth = 'cool-month';
    /** Values: month. */
    case WarmMonth = 'warm-month';
}
