<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Time\Day;

/** One dose of a planting: its step names it for good, wherever its day moves. */
final readonly class FeedDay
{
    /** @param float $part share of the nitrogen */
    public function __construct(public string $step, public string $name, public Day $day, public float $part)
    {
    }

    public function of(float $sum): self
    {
        return new self($this->step, $this->name, $this->day, $this->part / $sum);
    }
}
