<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Weather made by chance that has the climate's means and spread (after Richardson 1981, Water Resources Research 17:
 * 182-190): wet and dry days follow each other by a chain, the differences from normal of minimum and maximum carry
 * over from day to day. The same seed gives the same weather.
 */
final readonly class WeatherGenerator
{
    /** Share of today's difference from normal that is there tomorrow. */
    private const CARRY = 0.7;
    /** A wet day is so much likelier after a wet one. */
    private const WET_AFTER_WET = 1.7;
    private const RAIN_OF_A_WET_DAY = 6.0;
    /** Wet days are cooler by day, degrees C. */
    private const WET_COOLER = 2.0;

    public function __construct(private Climate $climate, private int $seed)
    {
    }

    /** Days of whole years from the first day's year on, cut to what was asked. */
    public function days(Day $from, Day $until): DailyRecord
    {
        $min = $max = $rain = [];
        for ($year = $from->year(); $year <= $until->year(); ++$year) {
            $chance = new Randomizer(new Xoshiro256StarStar($this->seed + $year));
            [$low, $high, $wasWet] = [0.0, 0.0, false];
            for ($day = Day::fromDate($year, 1, 1); $day->year() === $year; $day = $day->plus(1)) {
                $i = Climate::index($day);
                $odds = min(0.9, $this->climate->rain[$i] / self::RAIN_OF_A_WET_DAY);
                $isWet = self::share($chance) < ($wasWet ? min(0.95, $odds * self::WET_AFTER_WET)
                    : $odds * (1 - min(0.95, $odds * self::WET_AFTER_WET)) / max(0.05, 1 - $odds));
                $fresh = sqrt(1 - self::CARRY ** 2);
                $common = self::bell($chance);
                $low = self::CARRY * $low + $fresh * (0.7 * $common + 0.71 * self::bell($chance));
                $high = self::CARRY * $high + $fresh * (0.7 * $common + 0.71 * self::bell($chance));
                $amount = $isWet ? -log(max(1e-6, self::share($chance))) * self::RAIN_OF_A_WET_DAY : 0.0;
                if (!$day->isBefore($from) && !$until->isBefore($day)) {
                    $min[$day->number] = round($this->climate->min[$i] + $low * $this->climate->minSd[$i] + ($isWet ? 0.5 : 0.0), 1);
                    $max[$day->number] = round(max($min[$day->number] + 0.5,
                        $this->climate->max[$i] + $high * $this->climate->maxSd[$i] - ($isWet ? self::WET_COOLER : -0.5)), 1);
                    $rain[$day->number] = round($amount, 1);
                }
                $wasWet = $isWet;
            }
        }

        return new DailyRecord($min, $max, $rain);
    }

    private static function share(Randomizer $chance): float
    {
        return $chance->getInt(0, 1_000_000_000) / 1e9;
    }

    private static function bell(Randomizer $chance): float
    {
        return sqrt(-2 * log(max(1e-12, self::share($chance)))) * cos(2 * \M_PI * self::share($chance));
    }
}
