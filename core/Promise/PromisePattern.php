<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Time\Day;

/** Promises by a pattern: the same again every so many weeks, or about as a year before. */
final class PromisePattern
{
    /** 52 whole weeks, so that a market day falls on a market day. */
    private const YEAR = 364;

    /**
     * Every so many weeks on the outlet's days, from the week of the first such day on; none while it is closed.
     *
     * @return list<Day>
     */
    public static function days(Outlet $outlet, Day $from, Day $until, int $weeks): array
    {
        $regular = MarketDays::every(...$outlet->days->weekdays)->between($from, $until);
        $first = ($regular[0] ?? $from)->week()->monday();

        return array_values(array_filter($outlet->days->between($from, $until),
            static fn (Day $day): bool => 0 === intdiv($day->since($first), 7) % max(1, $weeks)));
    }

    /**
     * A year before, times a share, for market days it is open on and nothing of the product is promised to the outlet yet.
     *
     * @param list<Promise> $promises
     * @param float         $share    1.1: a tenth more
     *
     * @return list<Promise> in whole units; in halves where less than ten, not whole, were promised
     */
    public static function aboutAsTheYearBefore(array $promises, Outlet $outlet, Day $from, Day $until, float $share): array
    {
        $there = [];
        foreach ($promises as $promise) {
            $there[$promise->outlet.'/'.$promise->product.'/'.$promise->day->number] = true;
        }
        $new = [];
        foreach ($promises as $promise) {
            $day = $promise->day->plus(self::YEAR);
            if ($promise->outlet !== $outlet->key || !$outlet->days->isOpenOn($day) || $day->isBefore($from) || $until->isBefore($day)
                || isset($there[$promise->outlet.'/'.$promise->product.'/'.$day->number])) {
                continue;
            }
            $quantity = $promise->quantity * $share;
            $quantity = $promise->quantity < 10.0 && floor($promise->quantity) !== $promise->quantity ? round(2 * $quantity) / 2
                : round($quantity);
            if ($quantity > 0.0) {
                $new[] = new Promise($promise->outlet, $promise->product, $day, $quantity);
            }
        }

        return $new;
    }
}
