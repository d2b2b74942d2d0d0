<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Time\Day;

/** What is still to come of a planting's yield: a share of it, as found on a day. */
final readonly class Left
{
    public function __construct(public float $share, public Day $since)
    {
    }
}
