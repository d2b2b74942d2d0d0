<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Heat units of one day above a base, in degrees x days. All temperatures in one unit, Celsius or Fahrenheit. */
final class HeatUnits
{
    /** Mean of the day less the base, nought when below (McMaster & Wilhelm 1997, method 1). */
    public static function simple(float $min, float $max, float $base): float
    {
        return max(0.0, ($min + $max) / 2 - $base);
    }

    /**
     * Minimum and maximum are brought inside base and ceiling before the mean is taken (McMaster & Wilhelm 1997,
     * method 2; with base 50 and ceiling 86 degrees F the corn heat unit of common practice).
     */
    public static function cutOff(float $min, float $max, float $base, float $ceiling = \INF): float
    {
        $within = static fn (float $t): float => min($ceiling, max($base, $t));

        return ($within($min) + $within($max)) / 2 - $base;
    }

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
