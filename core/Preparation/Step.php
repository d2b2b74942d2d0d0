<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

/** One step of a recipe; it begins so many days before the crop goes into the ground. */
final readonly class Step
{
    public function __construct(
        public string $name,
        public int $leadDays,
        public float $hoursPer100Metres,
        public string $tool,
        public string $condition,
        public string $caution,
    ) {
    }
}
