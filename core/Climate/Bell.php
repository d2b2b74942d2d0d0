<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Days spread around their normal as under a bell curve. */
final class Bell
{
    /**
     * Where a bell curve is taken so that a mean over it is right, in spreads, with the weights (Gauss and Hermite, five
     * points: Abramowitz & Stegun 1964, table 25.10, divided by the root of pi).
     */
    public const POINTS = [[0.0, 0.5333], [1.356, 0.2221], [-1.356, 0.2221], [2.857, 0.0113], [-2.857, 0.0113]];
    /** Further out than this nothing is counted, in spreads. */
    public const FAR = 6.0;

    /** Share of it below so many spreads (Abramowitz & Stegun 1964, 26.2.17; good to 7.5e-8). */
    public static function below(float $z): float
    {
        if ($z < -self::FAR || $z > self::FAR) {
            return $z < 0 ? 0.0 : 1.0;
        }
        $t = 1 / (1 + 0.2316419 * abs($z));
        $tail = exp(-$z * $z / 2) / sqrt(2 * \M_PI) * $t
            * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $z < 0 ? $tail : 1 - $tail;
    }

    /** How many spreads from the middle so large a share of it lies below; to a hundred-millionth, by halving. */
    public static function where(float $share): float
    {
        [$low, $high] = [-self::FAR, self::FAR];
        for ($step = 0; $step < 40; ++$step) {
            $middle = ($low + $high) / 2;
            [$low, $high] = self::below($middle) < $share ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }
}
