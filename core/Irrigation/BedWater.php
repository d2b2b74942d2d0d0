<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

/** What one planting on one bed is to be given in a week. */
final readonly class BedWater
{
    /**
     * @param string $planting its key
     * @param float  $litres   with what does not reach the roots
     * @param float  $cents    what stands there brings
     * @param int    $times    it is watered
     */
    public function __construct(public string $planting, public string $item, public string $bed, public float $mm, public float $litres,
        public float $cents, public int $times)
    {
    }

    public function again(float $mm, float $litres): self
    {
        return new self($this->planting, $this->item, $this->bed, $this->mm + $mm, $this->litres + $litres, $this->cents, $this->times + 1);
    }
}
