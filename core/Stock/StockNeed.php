<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

/** Units wanted out of store on a day. */
final readonly class StockNeed
{
    /**
     * @param bool              $isFirm ordered: served before what is only promised
     * @param list<string>|null $takes  keys of the lots the customer accepts; null: any
     */
    public function __construct(public int $day, public float $units, public bool $isFirm = false, public ?array $takes = null)
    {
    }

    public function accepts(StockLot $lot): bool
    {
        return $lot->isGoodOn($this->day) && (null === $this->takes || \in_array($lot->key, $this->takes, true));
    }
}
