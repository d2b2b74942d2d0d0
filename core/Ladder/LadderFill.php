<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Time\Day;

/** A variety and a sowing day that give something in a gap. */
final readonly class LadderFill
{
    /** @param int $covers days of the gap */
    public function __construct(public Crop $crop, public Day $sow, public Day $ready, public Day $until, public int $covers)
    {
    }
}
