<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Measure\Money;
use JollyFurrow\Time\Day;

/** What a product costs at an outlet in a part of the year; several may cost less together. */
final readonly class Price
{
    /**
     * @param string     $outlet  empty: everywhere
     * @param Day|null   $from    null: always
     * @param Day|null   $until   the last day
     * @param int        $many    "two for 5": how many; 0: nothing of the kind
     * @param Money|null $forMany what they cost together
     * @param string     $size    or variety, where that costs otherwise; empty: all of it
     */
    public function __construct(public string $key, public string $outlet, public string $product, public Money $each,
        public ?Day $from = null, public ?Day $until = null, public int $many = 0, public ?Money $forMany = null,
        public string $size = '')
    {
    }

    public function isFor(string $outlet, string $product, Day $day, string $size = ''): bool
    {
        return $this->product === $product && ('' === $this->size || $this->size === $size) && ('' === $this->outlet
            || $this->outlet === $outlet)
            && (null === $this->from || !$day->isBefore($this->from)) && (null === $this->until || !$this->until->isBefore($day));
    }

    public function hasMany(): bool
    {
        return $this->many > 1 && null !== $this->forMany;
    }

    /** Cents for so many bought at once: as many together as there are. */
    public function cents(int $units): int
    {
        $together = $this->hasMany() ? intdiv($units, $this->many) : 0;

        return $together * ($this->forMany->cents ?? 0) + ($units - $together * $this->many) * $this->each->cents;
    }
}
