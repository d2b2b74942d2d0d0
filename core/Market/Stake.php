<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

/** What a unit brings and costs, sold, brought back or left in the field. Cents. */
final readonly class Stake
{
    /**
     * @param float $price    it is sold at
     * @param float $pickPack what picking and packing it costs
     * @param float $left     worth if it is left where it stands
     * @param float $back     worth if it is brought back
     */
    public function __construct(public float $price, public float $pickPack = 0.0, public float $left = 0.0, public float $back = 0.0)
    {
    }

    /** Lost with each unit that would have sold and is not there. */
    public function under(): float
    {
        return $this->price - $this->pickPack - $this->left;
    }

    /** Lost with each unit that does not sell. */
    public function over(): float
    {
        return $this->pickPack + $this->left - $this->back;
    }

    /** So often it should be enough: the critical ratio. 0: take none; 1: take all there is. */
    public function ratio(): float
    {
        return match (true) {
            $this->under() <= 0.0 => 0.0,
            $this->over() <= 0.0 => 1.0,
            default => $this->under() / ($this->under() + $this->over()),
        };
    }

    /** What taking so many earns when so many are asked for, against leaving them. */
    public function earned(float $taken, float $asked): float
    {
        $sold = min($taken, $asked);

        return $sold * $this->under() - ($taken - $sold) * $this->over();
    }
}
