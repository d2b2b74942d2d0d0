<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Time\Day;

/** One promise that is kept better or worse than before: units short before and after. */
final readonly class SupplyChange
{
    public function __construct(public string $item, public string $outlet, public Day $day, public int $shortBefore,
        public int $shortAfter, public int $wanted)
    {
    }

    /** Units more (or fewer, below nought) that reach the outlet. */
    public function gain(): int
    {
        return $this->shortBefore - $this->shortAfter;
    }
}
