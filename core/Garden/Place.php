<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Time\MonthDay;

/** Where the garden lies. Frost days are those after / before which a frost comes about one year in ten. */
final readonly class Place
{
    public function __construct(
        public string $name,
        public float $latitude,
        public int $altitude,
        public MonthDay $lastFrost,
        public MonthDay $firstFrost,
    ) {
    }
}
