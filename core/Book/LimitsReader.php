<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Growth\Chill;
use JollyFurrow\Growth\Cold;
use JollyFurrow\Growth\Germination;
use JollyFurrow\Growth\Heat;
use JollyFurrow\Growth\Limits;
use JollyFurrow\Growth\LongDays;

/** Reads what the book says a crop bears of soil, frost, heat and season. */
final readonly class LimitsReader
{
    /** Warmer soil than this keeps nothing out, unless the book says so. Degrees C. */
    private const NO_SOIL_TOO_WARM = 60.0;
    private const USUALLY_SLOW = 2.0;

    public function read(BookValues $values): Limits
    {
        $least = $values->float('soil_least', -2, 25);

        return new Limits(
            $least,
            $values->optionalFloat('soil_most', $least + 1, 45) ?? self::NO_SOIL_TOO_WARM,
            new Cold(
                $values->float('kill_c', -45, 5),
                $values->optionalFloat('hurt_c', -45, 5),
                $values->optionalFloat('hurt_from', 0.1, 1),
                $values->optionalFloat('young_kill_c', -45, 5),
                $values->has('comes_again') && $values->yes('comes_again'),
            ),
            $this->heat($values),
            $values->has('chill_days') ? new Chill($values->float('chill_days', 5, 120), $values->float('seed_warmth', 5, 800)) : null,
            $values->optionalFloat('chill_need', 0, 120) ?? 0.0,
            $this->longDays($values),
            $values->has('germinating') ? new Germination($this->shares($values), $values->optionalFloat('germinating_least', 0.05, 0.9)
                ?? Germination::LEAST) : null,
            $values->optionalFloat('cool_c', 2, 25),
            $values->optionalFloat('slow', 1, 6) ?? self::USUALLY_SLOW,
            $values->optionalFloat('pick_share', 0, 1) ?? 0.0,
            $values->optionalFloat('first_share', 0.4, 1) ?? 1.0,
            $values->optionalInt('longest_days', 30, 400),
            $values->has('mildews') && $values->yes('mildews'),
        );
    }

    /** "31.5/23.5": by day and by night; "-" where nights do not matter. */
    private function heat(BookValues $values): ?Heat
    {
        if (!$values->has('hot')) {
            return null;
        }
        $hot = $values->text('hot');
        if (1 !== preg_match('~^(\d{1,2}(?:\.\d)?)/(-|\d{1,2}(?:\.\d)?)$~', $hot, $m) || (float) $m[1] < 15 || (float) $m[1] > 50) {
            throw $values->wrong('hot', 'it is degrees by day and by night such as 31.5/23.5, or 27/- where nights do not matter');
        }
        $costs = $values->oneOf('hot_costs', ['leaves', 'flowers', 'tubers']);
        [$from, $to] = $values->has('hot_share') ? $values->range('hot_share', 0, 1) : [Heat::LAST_FROM, 1.0];

        return new Heat(
            (float) $m[1],
            '-' === $m[2] ? null : (float) $m[2],
            $values->optionalInt('hot_lag_days', 0, 90) ?? 0,
            $from,
            $to,
            $values->optionalFloat('hot_pause', 0.1, 1),
            'flowers' === $costs,
            'tubers' === $costs,
            !$values->has('hot_rules') || $values->yes('hot_rules'),
        );
    }

    /** "12.5 3.5 0.6 5 13 1.3": hours from, over so many more, at most; the same of the mean in degrees C. */
    private function longDays(BookValues $values): ?LongDays
    {
        if (!$values->has('long_days')) {
            return null;
        }
        $numbers = preg_split('/\s+/', $values->text('long_days')) ?: [];
        if (6 !== \count($numbers) || array_filter($numbers, is_numeric(...)) !== $numbers || (float) $numbers[1] <= 0.0
            || (float) $numbers[4] <= 0.0) {
            throw $values->wrong('long_days', 'it is six numbers: hours from, over how many more, at most; the same of degrees');
        }

        return new LongDays((float) $numbers[0], (float) $numbers[1], (float) $numbers[2], (float) $numbers[3], (float) $numbers[4],
            (float) $numbers[5], $values->float('long_days_sum', 1, 300));
    }

    /** @return non-empty-array<int, float> shares by degrees C */
    private function shares(BookValues $values): array
    {
        return array_map(static fn (float $percent): float => $percent / 100, $values->table('germinating', 0, 100));
    }
}
