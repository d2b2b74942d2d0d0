<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Heat units of one day above a base, in degrees x days. All temperatures in one unit, Celsius or Fahrenheit. */
final class HeatUnits
{
    /** Area under one sine through minimum and maximum, above the base and cut off at the ceiling (Baskerville & Emin 1969). */
    public static function sine(float $min, float $max, float $base, float $ceiling = \INF): float
    {
        return self::above($min, $max, $base) - (is_infinite($ceiling) ? 0.0 : self::above($min, $max, $ceiling));
    }

    private static function above(float $min, float $max, float $base): float
    {
        $mean = ($min + $max) / 2;
        $half = ($max - $min) / 2;
        if ($base <= $min) {
            return $mean - $base;
        }
        if ($base >= $max) {
            return 0.0;
        }
        $angle = asin(($base - $mean) / $half);

        return (($mean - $base) * (\M_PI / 2 - $angle) + $half * cos($angle)) / \M_PI;
    }
}
