<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How much of a nutrient the soil holds; its number is the column of the tables of needs. */
enum SoilLevel: int
{
    case VeryLow = 0;
    case Low = 1;
    case Middling = 2;
    case High = 3;
    case VeryHigh = 4;

    /** @param list<float> $bounds between the five, mg a kg; a bound belongs to the level above it */
    public static function by(float $mgKg, array $bounds): self
    {
        return self::from(\count(array_filter($bounds, static fn (float $bound): bool => $mgKg >= $bound)));
    }
}
