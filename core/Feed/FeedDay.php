<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Time\Day;

/** One dose of a planting: its step names it for good, wherever its day moves. */
final readonly class FeedDay
{
    /**
     * @param float $part     share of the nitrogen
     * @param float $minerals share of the phosphate and potash
     */
    public function __construct(public string $step, public string $name, public Day $day, public float $part, public float $minerals = 0.0)
    {
    }

    /** Of parts that sum to so much; all the minerals go with the first. */
    public function of(float $sum, bool $isFirst): self
    {
        return new self($this->step, $this->name, $this->day, $this->part / $sum, $isFirst ? 1.0 : 0.0);
    }
}
