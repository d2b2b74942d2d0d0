<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** How much a crop asks of the soil. */
enum Feeding: string
{
    case Giver = 'giver';
    case Light = 'light';
    case Medium = 'medium';
    case Heavy = 'heavy';

    /** Share of the garden's nitrogen rate this class is given (common practice, no source). */
    public function nitrogenShare(): float
    {
        return match ($this) {
            self::Giver => 0.0,
            self::Light => 0.5,
            self::Medium => 1.0,
            self::Heavy => 1.5,
        };
    }
}
