<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** So many units of a product handed over. */
final readonly class DeliveryLine
{
    /** @param int $cents for all of them, by the price of that day, several together reckoned in */
    public function __construct(public string $product, public int $units, public int $cents, public string $lots = '')
    {
    }
}
