<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;

/** The scale of the packing shed. */
interface Scale
{
    /** Whether a garden has one. */
    public function isThere(Garden $garden): bool;

    /**
     * What it says while a crate stands on it.
     *
     * @param float $grams about what lies on it: only a scale that is not there needs it
     *
     * @return list<string> the oldest first
     */
    public function lines(Planting $planting, float $grams): array;
}
