<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** Stages at which frost does its harm. */
enum Stage: string
{
    case Seedling = 'seedling';
    case Grown = 'grown';
    case Flower = 'flower';
    case Harvest = 'harvest';

    public function words(): string
    {
        return match ($this) {
            self::Seedling => 'as a seedling',
            self::Grown => 'grown',
            self::Flower => 'in flower',
            self::Harvest => 'what is harvested',
        };
    }
}
