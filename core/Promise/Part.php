<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

/** What one product unit takes of one item, in the item's own units. A mix has several parts. */
final readonly class Part
{
    public function __construct(public string $item, public float $units)
    {
    }
}
