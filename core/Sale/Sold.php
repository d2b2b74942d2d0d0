<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** One product of a market day, counted at packing up: sold is what was taken and is neither brought back, given nor lost. */
final readonly class Sold
{
    /**
     * @param int         $taken whole sale units, as the rest
     * @param int|null    $cents taken for it; null: not counted apart
     * @param string|null $outAt "10:30", when the last was sold; null: it was not sold out
     * @param string      $size  or variety, where it is sold by that; empty: all of it
     * @param int|null    $cut   from then on it went at another price, cents each
     */
    public function __construct(public string $product, public int $taken, public int $back, public int $given = 0, public int $lost = 0,
        public ?int $cents = null, public ?string $outAt = null, public string $size = '', public ?int $cut = null)
    {
        if (min($taken, $back, $given, $lost) < 0 || $back + $given + $lost > $taken) {
            throw new \LogicException('More came back than was taken.');
        }
    }

    /** Both together; what was taken for them is known where it is of both. */
    public function and(self $other): self
    {
        return new self($this->product, $this->taken + $other->taken, $this->back + $other->back, $this->given + $other->given,
            $this->lost + $other->lost, null === $this->cents || null === $other->cents ? null : $this->cents + $other->cents,
            null === $this->outAt || null === $other->outAt ? null : max($this->outAt, $other->outAt));
    }

    public function units(): int
    {
        return $this->taken - $this->back - $this->given - $this->lost;
    }

    /** All of it went: more might have been sold. */
    public function isOut(): bool
    {
        return 0 === $this->back && $this->units() > 0;
    }
}
