<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Message\Code;

/** What a grower can still do about a shortage. */
enum ShortMend: string implements Code
{
    case NoSowing = 'no-sowing';
    /** Values: place. */
    case NoPlace = 'no-place';
    case NoBed = 'no-bed';
    case TooDear = 'too-dear';
    case NotPlanned = 'not-planned';
    case Perennial = 'perennial';
    /** Values: length, bed, sow, ready, gives, cost. */
    case StillPossible = 'still-possible';
    /** Values: sow, ready, place, from. */
    case BedTaken = 'bed-taken';
}
