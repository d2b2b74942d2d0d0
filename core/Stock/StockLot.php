<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

/** Something in store, or in the ground as a store, that can be sold from one day to another. */
final readonly class StockLot
{
    /**
     * @param int   $from       day number it can first be sold
     * @param int   $last       last good day
     * @param float $units      on its first day
     * @param float $weeklyLoss share of what is there, by weight
     * @param bool  $isOpened   some of it went already
     */
    public function __construct(public string $key, public int $from, public int $last, public float $units, public float $weeklyLoss = 0.0,
        public bool $isOpened = false)
    {
    }

    public function isGoodOn(int $day): bool
    {
        return $this->from <= $day && $day <= $this->last;
    }

    /** Share of it still sound on a day. */
    public function sound(int $day): float
    {
        return $this->weeklyLoss > 0.0 ? (1 - $this->weeklyLoss) ** (max(0, $day - $this->from) / 7) : 1.0;
    }
}
