<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Measure\Money;

final readonly class Product
{
    /** @param non-empty-list<Part> $parts */
    public function __construct(
        public string $key,
        public string $name,
        public string $unit,
        public Money $price,
        public array $parts,
    ) {
    }

    public function isMix(): bool
    {
        return \count($this->parts) > 1;
    }
}
