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
}
