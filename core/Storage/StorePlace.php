<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** A room, clamp or shelf where produce lies. */
final readonly class StorePlace
{
    /**
     * @param float    $celsius  it is kept at
     * @param int      $humidity relative, per cent
     * @param int|null $crates   it has room for; null: not counted
     */
    public function __construct(public string $key, public string $name, public StoreKind $kind, public float $celsius,
        public int $humidity, public ?int $crates = null)
    {
    }
}
