<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Time\Period;

/** A bed that rests, bare or under a green manure: nothing is planted there on those days. */
final readonly class RestingBed
{
    public function __construct(public Period $days, public string $why = '')
    {
    }
}
