<?php

declare(strict_types=1);

namespace JollyFurrow\Load;

use JollyFurrow\Promise\Product;

/** A product as it is loaded for an outlet: whole units of sale. */
final readonly class LoadProduct
{
    /** @param list<string> $from codes of lots out of store, and beds */
    public function __construct(public Product $product, public int $wanted, public int $units, public array $from)
    {
    }
}
