<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Measured days: minimum and maximum in degrees C, rain in mm; by day number, in order, gaps allowed. */
final readonly class DailyRecord
{
    /**
     * @param array<int, float> $min
     * @param array<int, float> $max  the same days
     * @param array<int, float> $rain days on which rain was measured
     */
    public function __construct(public array $min, public array $max, public array $rain)
    {
    }

    public function days(): int
    {
        return \count($this->min);
    }

    /** Days missing between the first and the last. */
    public function gaps(): int
    {
        return [] === $this->min ? 0 : (int) array_key_last($this->min) - (int) array_key_first($this->min) + 1 - \count($this->min);
    }
}
