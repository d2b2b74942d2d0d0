<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Time\Day;

/** A sowing day of a rhythm on which nothing is sown. */
final readonly class SkippedSowing
{
    public function __construct(public Day $day, public Skipped $why)
    {
    }
}
