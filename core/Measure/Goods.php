<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Message\Sayable;

/** So many of what a crop is sold in: heads, bunches, or units of 100 g; of a whole planting, or of a metre of bed. */
final readonly class Goods implements Sayable
{
    public const HUNDRED_GRAMS = '100 g';

    /** @param string $unit one of them: head, bunch, 100 g */
    public function __construct(public float $units, public string $unit, public bool $isOfAMetre = false)
    {
    }

    /** Null: it is counted, not weighed. */
    public function mass(): ?Quantity
    {
        return self::HUNDRED_GRAMS === $this->unit ? Quantity::of($this->units * 100, Unit::Gram) : null;
    }

    public function logged(): string
    {
        return round($this->units, 3).' '.$this->unit.($this->isOfAMetre ? ' a metre' : '');
    }
}
