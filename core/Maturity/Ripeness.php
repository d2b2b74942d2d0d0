<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** What becomes of one sowing: day numbers from the seed to the last fit day. */
final readonly class Ripeness
{
    /** @param int $emerges in the bed or on the bench */
    public function __construct(public int $sow, public int $emerges, public int $ground, public int $ready, public int $lastGood)
    {
    }
}
