<?php

declare(strict_types=1);

namespace JollyFurrow\Odds;

/** The bell curve of mean 0 and spread 1. */
final class Normal
{
    private const STEPS = 60;

    /** Share of it below z: 0.5 erfc(-z / root 2), by Abramowitz & Stegun 7.1.26, within 1.5e-7 (from memory). */
    public static function below(float $z): float
    {
        $x = abs($z) / \M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);
        $tail = $t * (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429)))) * exp(-$x * $x);

        return $z > 0 ? 1 - $tail / 2 : $tail / 2;
    }

    /** The z below which a share of it lies, by halving; the shares 0 and 1 count as one in ten thousand. */
    public static function quantile(float $share): float
    {
        $share = max(1e-4, min(1 - 1e-4, $share));
        [$low, $high] = [-4.0, 4.0];
        for ($n = 0; $n < self::STEPS; ++$n) {
            $middle = ($low + $high) / 2;
            self::below($middle) < $share ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }
}
