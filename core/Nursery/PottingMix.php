<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Measure\Volume;

/** Potting mix for trays: one of 30 x 60 cm filled 4 cm deep holds about four litres, whatever its cells (own model). */
final class PottingMix
{
    private const LITRES_A_TRAY = 4.0;

    public static function for(float $trays): Volume
    {
        return Volume::fromLitres($trays * self::LITRES_A_TRAY);
    }
}
