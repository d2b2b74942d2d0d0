<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

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
    /** A fit crop ages at least so fast, however cold: it does not keep for ever. */
    private const LEAST_AGEING = 0.2;
    /** When the normal night is so cold, a frost has come in about half of the years, degrees C (own model). */
    private const FROST_BY_THEN = 2.0;
    /** The table rates are looked up in: from, to, steps a degree. */
    private const COLDEST = -80;
    private const HOTTEST = 90;
    private const STEPS = 4;

    /**
     * How warm each day is, measured by the reference: one on a mild day of the reference mean. The day's course is taken
     * at six moments of a sine, as TemperatureResponse::overDay() does; the response is looked up to an eighth of a degree.
     *
     * @param list<float> $min
     * @param list<float> $max
     *
     * @return list<float>
     */
    public static function warmth(Growth $growth, array $min, array $max): array
    {
        $reference = $growth->temperature->overDay($growth->reference - self::REFERENCE_SWING, $growth->reference + self::REFERENCE_SWING);

        $table = self::table($growth->temperature->at(...));
        $warmth = [];
        foreach ($min as $n => $low) {
            $mean = (($low + $max[$n]) / 2 - self::COLDEST) * self::STEPS + 0.5;
            $half = ($max[$n] - $low) / 2 * self::STEPS;
            $warmth[] = ($table[(int) ($mean + 0.9659258 * $half)] + $table[(int) ($mean + 0.7071068 * $half)] + $table[(int) ($mean + 0.2588190 * $half)]
                + $table[(int) ($mean - 0.2588190 * $half)] + $table[(int) ($mean - 0.7071068 * $half)] + $table[(int) ($mean - 0.9659258 * $half)]) / 6 / $reference;
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
    public static function development(array $warmth, array $light): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($warmth as $n => $warm) {
            $sums[] = $sum += $warm * LightResponse::at($light[$n]);
        }

        return $sums;
    }

    /**
     * @param list<float> $warmth
     * @param list<float> $light
     *
     * @return list<float>
     */
    public static function seedlings(array $warmth, array $light): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($warmth as $n => $warm) {
            $sums[] = $sum += $warm * LightResponse::ofSeedlings($light[$n]);
        }

        return $sums;
    }

    /**
     * @param list<float> $warmth
     *
     * @return list<float>
     */
    public static function ageing(array $warmth): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($warmth as $warm) {
            $sums[] = $sum += max(self::LEAST_AGEING, $warm);
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
     * @param list<float> $min
     *
     * @return list<float>
     */
    public static function coldNights(array $min): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($min as $night) {
            $sums[] = $sum += $night <= self::FROST_BY_THEN ? 1.0 : 0.0;
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
