<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** The best time of the day to harvest. */
enum PickTime: string
{
    case CoolMorning = 'cool-morning';
    case AfterDew = 'after-dew';
    case Dry = 'dry';
    case Any = 'any';
    case None = 'none';
}
