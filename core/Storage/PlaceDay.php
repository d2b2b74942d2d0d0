<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Time\Day;

/** A day of a place, as its logger has it. */
final readonly class PlaceDay
{
    /**
     * @param float      $celsius  mean
     * @param float|null $humidity mean, per cent
     */
    public function __construct(public string $place, public Day $day, public float $celsius, public float $low, public float $high,
        public ?float $humidity = null)
    {
    }
}
