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

    /** The mean over days that spread so many degrees about the given one: a mean day alone has too few in the cold of the year. */
    public static function spread(float $min, float $max, float $base, float $spread): float
    {
        $sum = 0.0;
        foreach (Bell::POINTS as [$at, $weight]) {
            $sum += $weight * self::sine($min + $at * $spread, $max + $at * $spread, $base);
        }

        return $sum;
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
