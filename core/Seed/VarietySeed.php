<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

use JollyFurrow\Crop\Crop;

/** Seed of one variety: wanted by month, in the drawer, short; and what to order. */
final readonly class VarietySeed
{
    /**
     * @param array<string, float> $months  grams by month, "2026-07", reserve included
     * @param list<LotLeft>        $lots    the oldest first
     * @param float                $short   grams
     * @param float                $packet  grams
     * @param int                  $packets to order
     */
    public function __construct(public Crop $crop, public array $months, public array $lots, public float $need, public float $short,
        public string $supplier, public float $packet, public int $packets, public ?int $cents)
    {
    }

    public function left(): float
    {
        return array_sum(array_map(static fn (LotLeft $lot): float => $lot->grams, $this->lots));
    }
}
