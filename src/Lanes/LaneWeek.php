<?php

declare(strict_types=1);

namespace App\Lanes;

use JollyFurrow\Time\Day;

/** One week of a lane: what is wanted of something there is only so much of. */
final readonly class LaneWeek
{
    /** @param float|null $room what there is; null: not known */
    public function __construct(public Day $monday, public float $amount, public ?float $room)
    {
    }

    public function isOver(): bool
    {
        return null !== $this->room && $this->amount > $this->room + 1e-6;
    }
}
