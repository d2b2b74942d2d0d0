<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Price;
use JollyFurrow\Time\Day;

/** What an outlet can have of a product on a market day, in whole units of sale, packed. */
final readonly class ComingLine
{
    /**
     * @param int      $sure   in nine years of ten
     * @param int      $likely as a rule
     * @param Day|null $until  the last market day in a row on which there is likely to be some; null: beyond what is looked at
     */
    public function __construct(public Product $product, public Day $day, public int $sure, public int $likely, public float $promised,
        public float $ordered, public Price $price, public ?Day $until = null)
    {
    }

    /** Units ordered, or promised where nothing is, that are not sure. */
    public function notSure(): float
    {
        return max(0.0, ($this->ordered > 0.0 ? $this->ordered : $this->promised) - $this->sure);
    }

    public function lasts(?Day $until): self
    {
        return new self($this->product, $this->day, $this->sure, $this->likely, $this->promised, $this->ordered, $this->price, $until);
    }
}
