<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Measure\Length;

/** Drip lines laid along a bed: one for each 35 to 40 cm of its width (common practice, no source). */
final class DripLines
{
    private const APART = 375 * Length::MILLIMETRE;

    /** @return positive-int */
    public static function on(Length $width): int
    {
        return max(1, (int) round($width->micrometres / self::APART));
    }
}
