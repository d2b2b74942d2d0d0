<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Time\Day;

/** A family kept off a bed after a soil disease was found there. */
final readonly class Quarantine
{
    /** @param Day $until last day it is kept off */
    public function __construct(public string $family, public Day $until, public string $why)
    {
    }
}
