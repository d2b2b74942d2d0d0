<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Ways\Candidate;

/** Metres of a planned succession that found no bed. */
final readonly class Unplaced
{
    public function __construct(public Candidate $candidate, public float $metres, public float $planned)
    {
    }
}
