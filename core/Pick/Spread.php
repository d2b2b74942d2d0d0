<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Pick\Kernel\HourFlow;
use JollyFurrow\Pick\Kernel\WholeUnits;

/**
 * The picking for some market days spread over the days before them: against hours, overtime, what is ripe and room in the cold.
 *
 * By hours it is the cheapest there is. Where a room is too small its nights are priced (subgradient) and what comes of it is made
 * whole and put right; the bound is what no spread can undercut.
 */
final readonly class Spread
{
    private const ROUNDS = 30;
    private const STEP = 1.2;
    private const SLOWER = 0.6;
    private const SHARE = 0.03;
    private const NEW = 0.3;
    private const EPSILON = 1e-9;

    /**
     * @param list<array<int, int>> $units by want and day
     * @param list<int>             $short by want
     * @param float                 $cost  cents: age, overtime and what is short
     * @param float                 $bound no spread costs less
     */
    private function __construct(public array $units, public array $short, public float $cost, public float $bound)
    {
    }

    /** @param list<SpreadWant> $wants */
    public static function of(array $wants, SpreadDays $days): self
    {
        $flow = new HourFlow($wants, $days);
        $bound = $flow->solve();
        $best = new WholeUnits($wants, $days, $flow->units());
        $prices = $kept = array_map(static fn (array $nights): array => array_map(static fn (): float => 0.0, $nights), $days->rooms);
        $over = $keptOver = self::over($wants, $days, $flow->units());
        $largest = max([1.0, ...array_merge(...array_values($days->rooms))]);
        $mixed = $flow->units();
        $scale = 1.0;
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            if (self::squared($keptOver, $kept) <= self::EPSILON || $best->cost() <= $bound + self::EPSILON) {
                break;
            }
            $step = $scale * self::STEP * ($best->cost() - $bound) / max(self::squared($over, $prices), (self::SHARE * $largest) ** 2);
            foreach ($prices as $room => $nights) {
                foreach ($nights as $night => $price) {
                    $prices[$room][$night] = max(0.0, $price + $step * $over[$room][$night]);
                }
            }
            $now = $flow->solve($prices) - self::worth($prices, $days);
            $over = self::over($wants, $days, $flow->units());
            $mixed = self::mixed($mixed, $flow->units());
            if ($now <= $bound + self::EPSILON) {
                $scale *= self::SLOWER;
                [$prices, $over] = [$kept, $keptOver];
                continue;
            }
            [$bound, $kept, $keptOver] = [$now, $prices, $over];
            $best = self::better($best, new WholeUnits($wants, $days, $flow->units()));
            $best = self::better($best, new WholeUnits($wants, $days, $mixed));
        }
        $best->exchange();
        $units = $best->units();

        return new self($units, array_map(static fn (SpreadWant $want, array $days): int => $want->units - array_sum($days), $wants,
            $units), $best->cost(), $bound);
    }

    /**
     * @param list<SpreadWant>        $wants
     * @param list<array<int, float>> $units
     *
     * @return array<string, list<float>> crates too many by room and night; below 0: free
     */
    private static function over(array $wants, SpreadDays $days, array $units): array
    {
        $over = array_map(static fn (array $nights): array => array_map(static fn (float $free): float => -$free, $nights), $days->rooms);
        foreach ($wants as $w => $want) {
            foreach (null !== $want->room && isset($over[$want->room]) ? $units[$w] : [] as $t => $some) {
                for ($night = $t; $night < $want->day; ++$night) {
                    isset($over[$want->room][$night]) ? $over[$want->room][$night] += $some / $want->crate : null;
                }
            }
        }

        return $over;
    }

    /**
     * How far the nights are from their prices: too many crates, or too few for a night that has a price.
     *
     * @param array<string, list<float>> $over
     * @param array<string, list<float>> $prices
     */
    private static function squared(array $over, array $prices): float
    {
        $sum = 0.0;
        foreach ($over as $room => $nights) {
            foreach ($nights as $night => $crates) {
                $sum += $crates > 0.0 || $prices[$room][$night] > 0.0 ? $crates ** 2 : 0.0;
            }
        }

        return $sum;
    }

    private static function better(WholeUnits $one, WholeUnits $other): WholeUnits
    {
        return $other->cost() < $one->cost() ? $other : $one;
    }

    /**
     * The rounds so far, each later one with the more weight: what a single round has all of one day or all of another lies between.
     *
     * @param list<array<int, float>> $before
     * @param list<array<int, float>> $now
     *
     * @return list<array<int, float>>
     */
    private static function mixed(array $before, array $now): array
    {
        return array_map(static function (array $old, array $new): array {
            $mixed = [];
            foreach (array_keys($old + $new) as $day) {
                $mixed[$day] = (1 - self::NEW) * ($old[$day] ?? 0.0) + self::NEW * ($new[$day] ?? 0.0);
            }

            return $mixed;
        }, $before, $now);
    }

    /** @param array<string, list<float>> $prices */
    private static function worth(array $prices, SpreadDays $days): float
    {
        $worth = 0.0;
        foreach ($prices as $room => $nights) {
            foreach ($nights as $night => $price) {
                $worth += $price * $days->rooms[$room][$night];
            }
        }

        return $worth;
    }
}
