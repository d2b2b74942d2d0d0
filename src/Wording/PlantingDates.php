<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Message\Code;

/** The dates of a planting in one line. */
enum PlantingDates: string implements Code
{
    /** Values: sow, ready, clear. */
    case SownInTheBed = 'sown-in-the-bed';
    /** Values: sow, ready, clear. */
    case Planted = 'planted';
    /** Values: sow, ground, ready, clear. */
    case RaisedAndPlanted = 'raised-and-planted';
}
