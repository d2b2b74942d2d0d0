<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Weather;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Time\Day;

/**
 * Harvest of a crop that follows the year and not the count of days: garlic, perennials, overwintered types. The book's
 * harvest window is the one of a reference place; here it comes when as much warmth has passed since midwinter as there
 * by then, moved by a few days for each week of planting (own model).
 */
final class Anchor
{
    /** Warmth above this counts, degrees C. */
    private const BASE = 3.0;
    /** Sum of it at the reference place (47 degrees north, July mean 19 degrees C) from 1 January to the end of each month, degree days. */
    private const AT_REFERENCE = [[59, 0.0], [90, 74.0], [120, 266.0], [151, 604.0], [181, 1026.0], [212, 1522.0], [243, 2004.0],
        [273, 2350.0], [304, 2561.0], [334, 2609.0], [365, 2609.0]];
    private const HALF_YEAR = 182;

    /** @var array<int, list<float>> sums by the day number of midwinter */
    private array $sums = [];

    public function __construct(private readonly Crop $crop, private readonly Weather $weather)
    {
    }

    public function harvest(int $ground): ?int
    {
        $window = $this->crop->rhythm->harvest;
        if (null === $window) {
            return null;
        }
        $planted = Day::of($ground);
        $years = max(1, $this->crop->rhythm->yearsToFirst);
        $wanted = self::atReference($window->from->in(2025)->number - Day::fromDate(2025, 1, 1)->number);
        $midwinter = $this->midwinterAfter($planted, $years);
        $reached = $this->reached($midwinter, $wanted);
        if (null === $reached) {
            return null;
        }
        $middle = null === ($sowing = array_values($this->crop->sowing)[0] ?? null) ? $planted : $sowing->from->in($planted->year());
        $weeks = min(10.0, max(-10.0, $planted->since($middle) / 7));

        return $reached + (int) round($this->crop->growth->slope * $weeks);
    }

    /** Midwinter before the first harvest: the next one after planting, or later for what takes years. */
    private function midwinterAfter(Day $planted, int $years): int
    {
        $south = $this->weather->latitude < 0;
        $next = $south ? Day::fromDate($planted->year(), 7, 2) : Day::fromDate($planted->year() + 1, 1, 1);
        if ($south && !$planted->isBefore($next)) {
            $next = Day::fromDate($planted->year() + 1, 7, 2);
        }

        return ($south ? Day::fromDate($next->year() + $years - 1, 7, 2) : Day::fromDate($next->year() + $years - 1, 1, 1))->number;
    }

    private function reached(int $midwinter, float $wanted): ?int
    {
        $this->sums[$midwinter] ??= $this->sumFrom($midwinter);
        foreach ($this->sums[$midwinter] as $n => $sum) {
            if ($sum >= $wanted) {
                return $midwinter + $n;
            }
        }

        return null;
    }

    /** @return list<float> */
    private function sumFrom(int $midwinter): array
    {
        $sum = 0.0;
        $sums = [];
        for ($n = 0; $n < 2 * self::HALF_YEAR; ++$n) {
            $i = $midwinter + $n - $this->weather->first;
            if (!isset($this->weather->min[$i])) {
                break;
            }
            $sums[] = $sum += max(0.0, ($this->weather->min[$i] + $this->weather->max[$i]) / 2 - self::BASE);
        }

        return $sums;
    }

    private static function atReference(int $dayOfYear): float
    {
        $before = [0, 0.0];
        foreach (self::AT_REFERENCE as [$day, $sum]) {
            if ($dayOfYear <= $day) {
                return $before[1] + ($dayOfYear - $before[0]) / ($day - $before[0]) * ($sum - $before[1]);
            }
            $before = [$day, $sum];
        }

        return $before[1];
    }
}
