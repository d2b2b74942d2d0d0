<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/**
 * How fast what is in a product becomes food for plants: the share of its nitrogen in the first twelve weeks, and in each
 * of the first three years. Phosphate and potash count whole. Common practice, no source.
 */
enum Release: string
{
    case Soluble = 'soluble';
    /** Blood, feather, fish meal. */
    case Meal = 'meal';
    /** Soya, alfalfa, castor: a week or two before small seed. */
    case SeedMeal = 'seed-meal';
    case Manure = 'manure';
    case Compost = 'compost';
    case Rock = 'rock';

    /** Of its nitrogen, in the season it is given. */
    public function share(): float
    {
        return $this->years()[0];
    }

    /** @return list<float> share of its nitrogen in the first, second, third year */
    public function years(): array
    {
        return match ($this) {
            self::Soluble => [1.0],
            self::Meal => [0.8, 0.1],
            self::SeedMeal => [0.7, 0.15],
            self::Manure => [0.4, 0.15, 0.07],
            self::Compost => [0.15, 0.1, 0.05],
            self::Rock => [0.0],
        };
    }

    /** Share of its phosphate and potash of use in the first year. */
    public function minerals(): float
    {
        return self::Rock === $this ? 0.1 : 1.0;
    }
}
