<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Message\Code;

/** Why a sowing of a rhythm is left out. */
enum Skipped: string implements Code
{
    /** It is not its season there, or frost would end it first. */
    case OutOfSeason = 'out-of-season';
    case NoTimeForTheBed = 'no-time-for-the-bed';
    /** None of the beds has that length free all that time, or a rule keeps it off. */
    case NoBed = 'no-bed';
}
