<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Garden\Stretch;

/** A sowing that would still serve a need, and the stretch of bed that is free for it, if there is one. */
final readonly class Mend
{
    public function __construct(public Candidate $candidate, public ?Stretch $stretch)
    {
    }
}
