<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Planting\Planting;

/** The plantings of a rhythm, and the sowing days that had to be left out. */
final readonly class RhythmPlan
{
    /**
     * @param list<Planting>      $plantings
     * @param list<SkippedSowing> $skipped
     */
    public function __construct(public array $plantings, public array $skipped)
    {
    }
}
