<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Message\Code;

/** What a bed is like by nature, where it is not as usual. */
enum BedIs: string implements Code
{
    case Wet = 'wet';
    case Dry = 'dry';
    case Early = 'early';
    case Late = 'late';
    case ManyWeedSeeds = 'many-weed-seeds';
    case ToughWeeds = 'tough-weeds';
    case PartShade = 'part-shade';
    case DeepShade = 'deep-shade';
    /** Values: depth. */
    case Pan = 'pan';
    case NoWater = 'no-water';
}
