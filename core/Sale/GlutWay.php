<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** Where the garden takes what is too much, and what it brings there. */
final readonly class GlutWay
{
    /**
     * @param string   $product empty: anything
     * @param int      $percent of its price
     * @param int|null $most    units a week; null: as much as there is
     */
    public function __construct(public string $key, public GlutKind $kind, public string $name, public string $product, public int $percent,
        public ?int $most = null)
    {
    }

    public function takes(string $product): bool
    {
        return '' === $this->product || $this->product === $product;
    }
}
