<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Stock;

use JollyFurrow\Stock\FirstOut;
use JollyFurrow\Stock\StockLot;
use JollyFurrow\Stock\StockNeed;
use PHPUnit\Framework\TestCase;

/**
 * First out against optima of the solver HiGHS (npm package "highs"): tests/fixtures/stock/make.mjs makes stores by chance and
 * has the most that can be sold out of them solved.
 *
 * @phpstan-type Instance array{kind: string, lots: list<array{key: string, from: int, last: int, units: int, loss: float|int}>,
 *     needs: list<array{day: int, units: int, firm: bool, takes: list<string>|null}>, sold: array{float, float}}
 */
final class FirstOutAgainstSolverTest extends TestCase
{
    public function testAsMuchAsTheSolverWhereAllLoseAtOneRate(): void
    {
        self::assertSame([], $this->off('one-rate'));
    }

    /** Orders as much as can be, and then promises, lot by lot as customers accept them. */
    public function testAsMuchAsTheSolverWhereLotsAreAcceptedDifferently(): void
    {
        self::assertSame([], $this->off('accepts'));
    }

    /** Where rates differ the order is a rule of thumb: the median at the solver's, the worst within five of a hundred. */
    public function testNearTheSolverWhereRatesDiffer(): void
    {
        $gaps = array_map(static fn (array $i): float => 1.0 - array_sum(self::sold($i)) / max(1e-9, array_sum($i['sold'])),
            $this->instances('rates'));
        sort($gaps);

        self::assertCount(60, $gaps);
        self::assertLessThan(1e-6, $gaps[30]);
        self::assertLessThan(0.05, $gaps[59]);
        self::assertGreaterThan(-1e-6, $gaps[0]);
    }

    /** A good part of them is short, so that the order matters. */
    public function testTheInstancesAreHardEnough(): void
    {
        foreach (['one-rate', 'accepts', 'rates'] as $kind) {
            $short = array_filter($this->instances($kind), static fn (array $i): bool => array_sum(array_column($i['needs'], 'units'))
                > array_sum($i['sold']) + 1.0);
            self::assertGreaterThan(30, \count($short), $kind);
        }
    }

    /** @return list<string> */
    private function off(string $kind): array
    {
        $off = [];
        foreach ($this->instances($kind) as $n => $instance) {
            $mine = self::sold($instance);
            if (abs($mine[0] - $instance['sold'][0]) > 1e-3 || abs($mine[1] - $instance['sold'][1]) > 1e-3) {
                $off[] = \sprintf('%d: %s, solver %s', $n, json_encode($mine), json_encode($instance['sold']));
            }
        }

        return $off;
    }

    /** @return list<Instance> */
    private function instances(string $kind): array
    {
        /** @var list<Instance> $all */
        $all = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/stock/instances.json'), true, flags: \JSON_THROW_ON_ERROR);

        return array_values(array_filter($all, static fn (array $i): bool => $i['kind'] === $kind));
    }

    /**
     * @param Instance $instance
     *
     * @return array{float, float} of orders and of promises
     */
    private static function sold(array $instance): array
    {
        $needs = array_map(static fn (array $n): StockNeed => new StockNeed($n['day'], $n['units'], $n['firm'], $n['takes']),
            $instance['needs']);
        $out = FirstOut::of($needs, array_map(static fn (array $l): StockLot => new StockLot($l['key'], $l['from'], $l['last'], $l['units'],
            $l['loss']), $instance['lots']));
        $sold = [0.0, 0.0];
        foreach ($out->takes as $n => $takes) {
            $sold[$needs[$n]->isFirm ? 0 : 1] += array_sum($takes);
        }

        return $sold;
    }
}
