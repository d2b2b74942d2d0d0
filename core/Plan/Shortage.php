<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Time\Day;

/** Units of an item that will be missing at one outlet on one market day; they may be so many days old there. */
final readonly class Shortage
{
    public function __construct(
        public string $item,
        public string $outlet,
        public Day $day,
        public int $units,
        public int $wanted,
        public int $reach,
    ) {
    }
}
