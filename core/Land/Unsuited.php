<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Message\Code;

/** What a bed's temper can say against a crop. */
enum Unsuited: string implements Code
{
    case TooWetSoEarly = 'too-wet-so-early';
    case LateToWarm = 'late-to-warm';
    case DriesOut = 'dries-out';
    case ToughWeeds = 'tough-weeds';
    /** Values: depth. */
    case RootsForkOnPan = 'roots-fork-on-pan';
    case InShade = 'in-shade';
}
