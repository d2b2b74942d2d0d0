<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

use JollyFurrow\Measure\Length;

/** "So many a foot" can mean a foot of bed or a foot of row: both are shown, and asked about. */
final readonly class SeedRate
{
    private function __construct(public float $perBed, public float $perRow)
    {
    }

    /** @param float $each seeds for that length */
    public static function of(float $each, Length $for, Length $bed, int $rows): self
    {
        $times = $bed->micrometres / $for->micrometres;

        return new self($each * $times, $each * $times * $rows);
    }
}
