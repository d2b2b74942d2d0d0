<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

use JollyFurrow\Climate\Bell;
use JollyFurrow\Climate\SoilTemperature;
use JollyFurrow\Climate\Weather;

/**
 * Sums by day, so that any sowing is a search in a rising line. Entry n is the sum before day n; a day adds one where it
 * is as warm as the reference and light enough: the sum counts catalogue days.
 */
final class GrowthSums
{
    /** The mild day the catalogue's days are taken to hold at swings so far around its mean, degrees C (own model). */
    private const REFERENCE_SWING = 5.0;
    /** Warmer than the reference counts so much of what it is above it: catalogue days come from trials in many summers (own model). */
    private const DAMPING = 0.4;
    /** The mean of some days spreads less than single nights do (own model). */
    private const OF_THE_SPREAD = 0.86;
    /** A fit crop does not age below this, and at most so many times the pace at its reference. */
    private const AGES_FROM = 4.0;
    private const MOST_AGEING = 2.5;
    /** The table rates are looked up in: from, to, steps a degree. */
    private const COLDEST = -100;
    private const HOTTEST = 110;
    private const STEPS = 4;

    /**
     * How warm each day is, measured by the reference: one on a mild day of the reference mean, damped above it. The day's
     * course is taken at six moments of a sine, as TemperatureResponse::overDay() does, looked up to an eighth of a degree;
     * of a normal day the mean over its spread, for the response is bent.
     *
     * @return list<float>
     */
    public static function warmth(Growth $growth, Weather $under, float $damping = self::DAMPING): array
    {
        $reference = $growth->temperature->overDay($growth->reference - self::REFERENCE_SWING, $growth->reference + self::REFERENCE_SWING);
        $table = self::table(static fn (float $t): float => $growth->temperature->at($t) / $reference / 6);
        $warmth = $normal = [];
        foreach ($under->min as $n => $low) {
            $i = $under->ofYear[$n];
            if (isset($normal[$i])) {
                $warmth[] = $normal[$i];
                continue;
            }
            $half = ($under->max[$n] - $low) / 2 * self::STEPS;
            $mean = (($low + $under->max[$n]) / 2 - self::COLDEST) * self::STEPS + 0.5;
            $spread = self::OF_THE_SPREAD * $under->nights[$n] * self::STEPS;
            $warm = 0.0;
            foreach (0.0 === $spread ? [[0.0, 1.0]] : Bell::POINTS as [$z, $weight]) {
                $at = $mean + $z * $spread;
                $rate = $table[(int) ($at + 0.9659258 * $half)] + $table[(int) ($at + 0.7071068 * $half)]
                    + $table[(int) ($at + 0.2588190 * $half)] + $table[(int) ($at - 0.2588190 * $half)]
                    + $table[(int) ($at - 0.7071068 * $half)] + $table[(int) ($at - 0.9659258 * $half)];
                $warm += $weight * ($rate > 1.0 ? 1.0 + $damping * ($rate - 1.0) : $rate);
            }
            $warmth[] = $warm;
            if ($i >= 0) {
                $normal[$i] = $warm;
            }
        }

        return $warmth;
    }

    /**
     * A response at every step of temperature, to be looked up.
     *
     * @param callable(float): float $response
     *
     * @return list<float>
     */
    private static function table(callable $response): array
    {
        $table = [];
        for ($i = 0; $i <= self::STEPS * (self::HOTTEST - self::COLDEST); ++$i) {
            $table[] = $response(self::COLDEST + $i / self::STEPS);
        }

        return $table;
    }

    /**
     * @param list<float> $warmth
     * @param list<float> $light
     *
     * @return list<float>
     */
    public static function development(array $warmth, array $light, LightResponse $response): array
    {
        $sums = [0.0];
        $sum = 0.0;
        $below = $response->nothingBelow();
        $span = $response->allAbove() - $below;
        foreach ($warmth as $n => $warm) {
            $missing = 1.0 - min(1.0, max(0.0, ($light[$n] - $below) / $span));
            $sums[] = $sum += $warm * (1.0 - $missing * $missing);
        }

        return $sums;
    }

    /**
     * Days of the reference by which a fit crop ages; apart from growth, for it goes on getting faster in heat.
     *
     * @return list<float>
     */
    public static function ageing(Growth $growth, Weather $under): array
    {
        $sums = [0.0];
        $sum = 0.0;
        $least = $growth->light->leastAgeing();
        foreach ($under->min as $n => $low) {
            $age = (($low + $under->max[$n]) / 2 - self::AGES_FROM) / ($growth->reference - self::AGES_FROM);
            $sums[] = $sum += min(self::MOST_AGEING, max($least, $age));
        }

        return $sums;
    }

    /**
     * A quarter of the day at the soil's low, a half at its mean, a quarter at its high; rates are looked up to an eighth of a degree.
     *
     * @param list<float> $soil mean of each day at seed depth
     *
     * @return list<float>
     */
    public static function emergence(Emergence $table, Weather $under, array $soil, float $depthCm): array
    {
        $rates = self::table($table->rate(...));
        $sums = [0.0];
        $sum = 0.0;
        $swing = SoilTemperature::damping($depthCm) / 2 * self::STEPS;
        foreach ($soil as $n => $mean) {
            $at = ($mean - self::COLDEST) * self::STEPS + 0.5;
            $half = ($under->max[$n] - $under->min[$n]) * $swing;
            $sums[] = $sum += ($rates[(int) ($at - $half)] + 2 * $rates[(int) $at] + $rates[(int) ($at + SoilTemperature::SUN * $half)]) / 4;
        }

        return $sums;
    }

    /**
     * First day by the end of which that much has been added since the beginning of a day; null: not in these years.
     *
     * @param list<float> $sums
     */
    public static function reached(array $sums, int $first, int $from, float $wanted): ?int
    {
        $low = $from - $first;
        $high = \count($sums) - 1;
        if ($low < 0 || $low > $high || $sums[$high] - $sums[$low] < $wanted) {
            return null;
        }
        $goal = $sums[$low] + $wanted - 1e-9;
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $sums[$middle] >= $goal ? $high = $middle : $low = $middle + 1;
        }

        return $first + $low;
    }
}
