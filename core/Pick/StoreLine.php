<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Keep\Holding;
use JollyFurrow\Time\Day;

/** What is taken out of store for one market day: part of what lies at one place of a lot. */
final readonly class StoreLine
{
    /** @param float $cleaned hours of washing, of what is stored as dug */
    public function __construct(public Day $market, public Holding $holding, public int $units, public string $outlet,
        public float $cleaned = 0.0)
    {
    }

    public function crates(): int
    {
        return (int) ceil($this->units / $this->holding->needs->crate - 1e-9);
    }
}
