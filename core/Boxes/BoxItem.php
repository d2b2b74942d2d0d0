<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

/** Something that can go into boxes. */
final readonly class BoxItem
{
    /**
     * @param int                $units there are
     * @param float              $cents a unit
     * @param float              $use   1: lost before the next box day; 0.6: keeps until then; 0.2 to 0.3: stored
     * @param array<string, int> $each  units of it in a box of a size; a size that is not named takes one
     */
    public function __construct(public string $key, public int $units, public float $cents, public float $use, public array $each = [])
    {
    }

    public function in(string $size): int
    {
        return $this->each[$size] ?? 1;
    }
}
