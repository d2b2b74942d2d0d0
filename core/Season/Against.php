<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Message\Code;

/** What can be said against a sowing at one place. */
enum Against: string implements Code
{
    case FrostEndsIt = 'frost-ends-it';
    case NotReadyInTime = 'not-ready-in-time';
    /** Values: day, odds. */
    case OutBeforeFrost = 'out-before-frost';
    /** Values: day, odds. */
    case ReadyAfterFrost = 'ready-after-frost';
    case OutOfSeason = 'out-of-season';
    case SeedMayRot = 'seed-may-rot';
    /** Values: soil, least. */
    case ColdSoil = 'cold-soil';
    /** Values: days, below. */
    case BoltsFromCold = 'bolts-from-cold';
    /** Values: hours. */
    case BoltsFromLongDays = 'bolts-from-long-days';
    /** Values: mean. */
    case HotWeek = 'hot-week';
    /** Values: days. */
    case StandsStill = 'stands-still';
    /** Values: share. */
    case SmallBulbs = 'small-bulbs';
}
