<?php

declare(strict_types=1);

namespace JollyFurrow\Purchase;

use JollyFurrow\Measure\Quantity;
use JollyFurrow\Time\Day;

/** Something to be bought by a day. */
final readonly class Purchase
{
    /** @param float|null $cents null: no price is known */
    public function __construct(public PurchaseKind $kind, public Day $by, public string $what, public Quantity $amount,
        public ?float $cents)
    {
    }
}
