<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** The ways a crop is harvested, or not. */
enum Pattern: string
{
    case Once = 'once';
    case Cuts = 'cuts';
    case Picking = 'picking';
    case Perennial = 'perennial';
    case DigAsNeeded = 'dig';
    case GreenManure = 'green-manure';

    /** A stock in the ground that waits for its market day. */
    public function isStock(): bool
    {
        return self::Once === $this || self::DigAsNeeded === $this;
    }
}
