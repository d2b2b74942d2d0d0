<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Message\Code;

/** What speaks for and against planting out on a day. */
enum PlantOutSays: string implements Code
{
    /** Values: day they are large enough. */
    case Small = 'small';
    /** Values: is, least. */
    case ColdSoil = 'cold-soil';
    /** Values: is, most. */
    case HotSoil = 'hot-soil';
    /** Values: day, low. */
    case Frost = 'frost';
    /** Values: age in days, day they are too old. */
    case Oldest = 'oldest';
    /** Values: noon. */
    case Hot = 'hot';
    case RainComes = 'rain-comes';
    case WaterIn = 'water-in';
}
