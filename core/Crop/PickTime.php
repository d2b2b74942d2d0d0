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

    public function words(): string
    {
        return match ($this) {
            self::CoolMorning => 'in the cool of the morning',
            self::AfterDew => 'when the dew is off',
            self::Dry => 'on a dry day',
            self::Any => 'any time of day',
            self::None => 'not harvested',
        };
    }
}
