<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/** What is worked out. The words for each, its formula and its inputs are the application's. */
enum Sum: string
{
    case BedTakenFrom = 'bed-taken-from';
    case Ready = 'ready';
    case ReadyAnew = 'ready-anew';
    case ReadyByCatalogue = 'ready-by-catalogue';
    case Spots = 'spots';
    case Plants = 'plants';
    case Cells = 'cells';
    case Trays = 'trays';
    case SeedSown = 'seed-sown';
    case SeedSownAt = 'seed-sown-at';
    case SeedInTrays = 'seed-in-trays';
    case SeedWeight = 'seed-weight';
    case Compost = 'compost';
    case Fertiliser = 'fertiliser';
    case FeedNitrogen = 'feed-nitrogen';
    case FeedPhosphate = 'feed-phosphate';
    case FeedPotash = 'feed-potash';
    case StepHours = 'step-hours';
    case PlantingPrice = 'planting-price';
    case YieldInAll = 'yield-in-all';
    case DryMatterGrown = 'dry-matter-grown';
    case DryMatterByEye = 'dry-matter-by-eye';
    case DryMatterOnBed = 'dry-matter-on-bed';
    case NitrogenLeft = 'nitrogen-left';
    case JobHours = 'job-hours';
    case JobLeft = 'job-left';
    case WarmerAtNight = 'warmer-at-night';
}
