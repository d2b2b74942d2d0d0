<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
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

    public static function of(Growth $growth, Weather $weather, Cover $cover, float $depthCm): self
    {
        $under = $weather->under($cover);
        $reference = self::reference($growth);
        $soil = $under->soil();
        $development = $emergence = $ageing = [0.0];
        for ($n = 0, $days = $under->days(); $n < $days; ++$n) {
            $warmth = $growth->temperature->overDay($under->min[$n], $under->max[$n]) / $reference;
            $development[] = $development[$n] + $warmth * LightResponse::at($under->light[$n]);
            $ground = SoilTemperature::of($soil[$n], $under->min[$n], $under->max[$n], $depthCm);
            $emergence[] = $emergence[$n] + $growth->emergence->overDay($ground->low, $ground->mean, $ground->high);
            $ageing[] = $ageing[$n] + max(self::LEAST_AGEING, $warmth);
        }

        return new self($under->first, $development, $emergence, $ageing);
    }

    /** Seedlings on the bench: never cold, aired when hot, behind glass. */
    public static function inNursery(Growth $growth, Weather $weather): self
    {
        $reference = self::reference($growth);
        $sum = [0.0];
        for ($n = 0, $days = $weather->days(); $n < $days; ++$n) {
            [$min, $max, $light] = Bench::day($weather->min[$n], $weather->max[$n], $weather->light[$n]);
            $sum[] = $sum[$n] + $growth->temperature->overDay($min, $max) / $reference * LightResponse::ofSeedlings($light);
        }

        return new self($weather->first, $sum, $sum, $sum);
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
