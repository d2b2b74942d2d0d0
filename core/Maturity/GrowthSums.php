<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\SoilTemperature;
use JollyFurrow\Climate\Weather;

/**
 * Development of one crop under one cover, summed up by day, so that any sowing is a search in a rising line. A day
 * adds one where it is as warm as the reference and light enough: the sum counts catalogue days.
 */
final readonly class GrowthSums
{
    /** The mild day the catalogue's days are taken to hold at swings so far around its mean, degrees C (own model). */
    private const REFERENCE_SWING = 5.0;
    /** A fit crop ages at least so fast, however cold: it does not keep for ever. */
    private const LEAST_AGEING = 0.2;

    /**
     * @param list<float> $development sum before each day
     * @param list<float> $emergence   the same, of the way to emergence
     * @param list<float> $ageing      the same, of a fit crop: warmth alone
     */
    private function __construct(public int $first, public array $development, public array $emergence, public array $ageing)
    {
    }

    /**
     * How warm each day is, measured by the reference: one on a mild day of the reference mean.
     *
     * @param list<float> $min
     * @param list<float> $max
     *
     * @return list<float>
     */
    public static function warmth(Growth $growth, array $min, array $max): array
    {
        $reference = self::reference($growth);

        return array_map(static fn (float $low, float $high): float => $growth->temperature->overDay($low, $high) / $reference, $min, $max);
    }

    /**
     * @param Weather     $under  under the cover
     * @param list<float> $warmth see warmth()
     * @param list<float> $soil   mean of each day at seed depth
     */
    public static function of(Emergence $table, Weather $under, array $warmth, array $soil, float $depthCm): self
    {
        $development = $emergence = $ageing = [0.0];
        $grown = $up = $aged = 0.0;
        $swing = SoilTemperature::damping($depthCm);
        foreach ($warmth as $n => $warm) {
            $development[] = $grown += $warm * LightResponse::at($under->light[$n]);
            $half = ($under->max[$n] - $under->min[$n]) / 2 * $swing;
            $emergence[] = $up += $table->overDay($soil[$n] - $half, $soil[$n], $soil[$n] + SoilTemperature::SUN * $half);
            $ageing[] = $aged += max(self::LEAST_AGEING, $warm);
        }

        return new self($under->first, $development, $emergence, $ageing);
    }

    /**
     * Seedlings on the bench: never cold, aired when hot, behind glass.
     *
     * @param list<float> $warmth
     */
    public static function inNursery(Weather $bench, array $warmth): self
    {
        $sum = [0.0];
        $grown = 0.0;
        foreach ($warmth as $n => $warm) {
            $sum[] = $grown += $warm * LightResponse::ofSeedlings($bench->light[$n]);
        }

        return new self($bench->first, $sum, $sum, $sum);
    }

    public static function reference(Growth $growth): float
    {
        return $growth->temperature->overDay($growth->reference - self::REFERENCE_SWING, $growth->reference + self::REFERENCE_SWING);
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
