<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Bell;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Growth\Chill;
use JollyFurrow\Growth\Cold;
use JollyFurrow\Growth\Heat;
use JollyFurrow\Growth\LongDays;

/**
 * Sums by day of what can go wrong, as GrowthSums are of growth: entry n is the sum before day n. Normal days are worked
 * out once a year; measured days are as they were.
 */
final class RiskSums
{
    /** So many days in, the running means hold whole weeks. */
    private const SETTLED = 30;
    /** What a measured night that kills adds: nothing lives through it. */
    private const CERTAIN = 50.0;
    private const LEAST_SPREAD = 0.5;

    /**
     * Minus the logarithm of the odds to live on, for a plant that hardens in the cold. Of single nights about every third is news.
     *
     * @param list<float> $twoWeeks mean of the last two weeks, by day
     *
     * @return list<float>
     */
    public static function living(Weather $under, array $twoWeeks, float $kill): array
    {
        return self::sums($under, static fn (int $n): float => self::night($under, $n,
            Cold::killsAt($kill, Cold::hardened($twoWeeks[$n]))));
    }

    /**
     * The same for one limit, hardened or not.
     *
     * @return list<float>
     */
    public static function spared(Weather $under, float $limit): array
    {
        return self::sums($under, static fn (int $n): float => self::night($under, $n, $limit));
    }

    /**
     * Share of hot days, summed up.
     *
     * @return list<float>
     */
    public static function hot(Weather $under, Heat $heat): array
    {
        return self::sums($under, static fn (int $n): float => max(self::above($under->max[$n], $under->noons[$n], $heat->day),
            null === $heat->night ? 0.0 : self::above($under->min[$n], $under->nights[$n], $heat->night)));
    }

    /**
     * Chill days. Over the spread of the days where a mild winter is what matters, else of the mean.
     *
     * @return list<float>
     */
    public static function chill(Weather $under, bool $isOverSpread): array
    {
        return self::sums($under, static function (int $n) use ($under, $isOverSpread): float {
            $mean = ($under->min[$n] + $under->max[$n]) / 2;
            $chill = 0.0;
            foreach ($isOverSpread ? Bell::POINTS : [[0.0, 1.0]] as [$z, $weight]) {
                $chill += $weight * Chill::ofADay($mean + $z * $under->nights[$n]);
            }

            return $chill;
        });
    }

    /**
     * @param callable(int): float $hours of day, by entry
     *
     * @return list<float>
     */
    public static function towardsSeed(Weather $under, callable $hours): array
    {
        return self::sums($under, static fn (int $n): float => Chill::towardsSeed(($under->min[$n] + $under->max[$n]) / 2, $hours($n)));
    }

    /**
     * @param callable(int): float $hours of day, by entry
     *
     * @return list<float>
     */
    public static function longDays(Weather $under, LongDays $longDays, callable $hours): array
    {
        return self::sums($under, static fn (int $n): float => $longDays->ofADay(($under->min[$n] + $under->max[$n]) / 2, $hours($n)));
    }

    /**
     * @param callable(int): float $ofADay by entry
     *
     * @return list<float>
     */
    private static function sums(Weather $under, callable $ofADay): array
    {
        $sums = [0.0];
        $sum = 0.0;
        $normal = [];
        foreach ($under->ofYear as $n => $i) {
            if (isset($normal[$i])) {
                $sums[] = $sum += $normal[$i];
                continue;
            }
            $sums[] = $sum += $day = $ofADay($n);
            if ($i >= 0 && $n >= self::SETTLED) {
                $normal[$i] = $day;
            }
        }

        return $sums;
    }

    private static function night(Weather $under, int $n, float $limit): float
    {
        if (0.0 === $under->nights[$n]) {
            return $under->min[$n] <= $limit ? self::CERTAIN : 0.0;
        }
        $odds = Bell::below(($limit - $under->min[$n]) / max(self::LEAST_SPREAD, $under->nights[$n]));

        return $odds > 0.0 ? -log(max(1e-12, 1 - $odds)) / FrostDates::NIGHTS_TOGETHER : 0.0;
    }

    private static function above(float $t, float $spread, float $limit): float
    {
        return 0.0 === $spread ? ($t > $limit ? 1.0 : 0.0) : 1 - Bell::below(($limit - $t) / max(self::LEAST_SPREAD, $spread));
    }
}
