<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Ways\Candidate;

/**
 * A quarter bed sown that would still serve a need, the stretch that is free for it, if there is one, and its cost in
 * cents with the bed's rent.
 */
final readonly class Mend
{
    public function __construct(public Candidate $candidate, public ?Stretch $stretch, public float $cost)
    {
    }
}
