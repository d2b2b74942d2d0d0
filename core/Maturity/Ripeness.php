<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** What becomes of one sowing: day numbers from the seed to the last fit day. */
final readonly class Ripeness
{
    /**
     * @param int   $emerges in the bed or on the bench
     * @param float $size    of the usual size, where late planting makes what is harvested smaller and not later
     */
    public function __construct(public int $sow, public int $emerges, public int $ground, public int $ready, public int $lastGood,
        public float $size = 1.0)
    {
    }
}
