<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Time\Day;

/** Bed metres of one week: wanted for planting, being made ready, standing, free. */
final readonly class BedWeek
{
    public function __construct(public Day $monday, public float $needed, public float $inPreparation, public float $standing,
        public float $free)
    {
    }
}
