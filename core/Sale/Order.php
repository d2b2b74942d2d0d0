<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Time\Day;

/** So much of a product an outlet has ordered. */
final readonly class Order
{
    /**
     * @param Day      $day   the market day it is for; of a standing order the first
     * @param Day|null $until the last market day of a standing order; null: until it is taken back
     * @param string   $who   who wrote it; empty: the garden
     */
    public function __construct(public string $key, public string $outlet, public string $product, public Day $day, public float $quantity,
        public OrderKind $kind = OrderKind::Firm, public ?Day $until = null, public string $who = '', public string $words = '')
    {
    }

    public function isFor(Day $day): bool
    {
        return OrderKind::Firm === $this->kind ? $this->day->equals($day) : !$day->isBefore($this->day)
            && (null === $this->until || !$this->until->isBefore($day));
    }

    public function withQuantity(float $quantity): self
    {
        return new self($this->key, $this->outlet, $this->product, $this->day, $quantity, $this->kind, $this->until, $this->who,
            $this->words);
    }
}
