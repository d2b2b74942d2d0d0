<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

/** Water of one planting on one day, mm. */
final readonly class DayWater
{
    /**
     * @param float $uses    what the crop gives off
     * @param float $rain    that reaches the soil
     * @param float $lacking in the soil at the end of the day, before it is watered
     * @param float $given   that the crop wants given that day
     */
    public function __construct(public float $uses, public float $rain, public float $lacking, public float $given)
    {
    }
}
