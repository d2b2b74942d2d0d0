<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Time\Day;

/** So many units of a product to an outlet on one market day. */
final readonly class Promise
{
    public function __construct(public string $outlet, public string $product, public Day $day, public float $quantity)
    {
    }
}
