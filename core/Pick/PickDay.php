<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Time\Day;

/** The hours of one day: those there are beside other work, and those the picking takes. */
final readonly class PickDay
{
    /** @param float|null $free null: nobody is named who works */
    public function __construct(public Day $day, public ?float $free, public float $hours)
    {
    }

    public function over(): float
    {
        return null === $this->free ? 0.0 : max(0.0, $this->hours - $this->free);
    }
}
