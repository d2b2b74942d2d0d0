<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Time\Day;

/**
 * Days between raw manure and the harvest: 120 where what is eaten touches the soil, else 90, counted from the day it was
 * worked in (US 7 CFR 205.203(c)(1)). What lies on top has not begun to count.
 */
final class ManureWait
{
    public const TOUCHING = 120;
    public const CLEAR_OF_SOIL = 90;
    /** What is eaten hangs above the soil. */
    private const HANGS = ['tomato', 'pepper', 'eggplant', 'cucumber', 'bean-runner', 'bean-broad', 'pea', 'corn', 'okra', 'bitter-gourd',
        'bottle-gourd', 'brussels-sprouts'];

    public static function days(Crop $crop): int
    {
        return \in_array($crop->item(), self::HANGS, true) ? self::CLEAR_OF_SOIL : self::TOUCHING;
    }

    /** The first day of harvest; null: it has to be worked in first. */
    public static function until(Spread $spread, Crop $crop): ?Day
    {
        return $spread->workedIn?->plus(self::days($crop));
    }
}
