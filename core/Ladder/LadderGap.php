<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Time\Day;

/** Days between two harvests of a ladder on which nothing is ready, and what would fill them. */
final readonly class LadderGap
{
    /** @param list<LadderFill> $fills the one that covers most first */
    public function __construct(public Day $from, public Day $until, public array $fills)
    {
    }

    public function days(): int
    {
        return $this->until->since($this->from) + 1;
    }
}
