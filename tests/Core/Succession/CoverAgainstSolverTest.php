<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\Kernel\CoverProblem;
use JollyFurrow\Succession\Kernel\CoverSuccessions;
use JollyFurrow\Succession\Kernel\Room;
use JollyFurrow\Tests\Support\CoverInstance;
use PHPUnit\Framework\TestCase;

/**
 * The covering search against optima proved by the solver HiGHS (npm package "highs") in a facility-location model that
 * shares nothing with it: tests/fixtures/cover/make.mjs makes the instances and has them proved.
 */
final class CoverAgainstSolverTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/cover/';
    private const EFFORT = ItemPlanner::EFFORT;

    /** Median, 95th percentile and worst as the design asks; never below what is proved. */
    public function testGapToTheOptimum(): void
    {
        $gaps = [];
        foreach (CoverInstance::all((string) file_get_contents(self::FIXTURES.'instances.json')) as $instance) {
            $cost = CoverSuccessions::solve($instance->problem(self::EFFORT))->cost;
            self::assertGreaterThanOrEqual($instance->proved - 1e-6 * $instance->proved, $cost, $instance->name);
            $gaps[] = $cost / $instance->proved - 1;
        }
        sort($gaps);
        $count = \count($gaps);

        self::assertGreaterThanOrEqual(40, $count);
        self::assertLessThanOrEqual(0.0025, $gaps[intdiv($count, 2)], 'median');
        self::assertLessThanOrEqual(0.02, $gaps[(int) ceil(0.95 * $count) - 1], '95th percentile');
        self::assertLessThanOrEqual(0.07, $gaps[$count - 1], 'worst');
    }

    public function testTinyInstancesSolvedLive(): void
    {
        $json = shell_exec('node '.escapeshellarg(self::FIXTURES.'make.mjs').' --tiny 2>/dev/null');
        self::assertIsString($json, 'Node.js with the package "highs" is needed; bin/test installs both.');
        $instances = CoverInstance::all($json);
        self::assertCount(3, $instances);
        foreach ($instances as $instance) {
            self::assertEqualsWithDelta($instance->proved, CoverSuccessions::solve($instance->problem(self::EFFORT))->cost,
                1e-6 * $instance->proved);
        }
    }

    /** In a room of so many metres no day ever takes more; with more room it never costs more than half a per cent more. */
    public function testWhatIsLeftOfTheBedsIsNeverOverfilled(): void
    {
        foreach (\array_slice(CoverInstance::all((string) file_get_contents(self::FIXTURES.'instances.json')), 0, 12) as $instance) {
            $costs = [];
            foreach ([12.5, 25.0, 75.0] as $metres) {
                $p = $instance->problem(3000);
                $from = array_map(static fn (array $curve): int => (array_key_first($curve) ?? 0) - 40, $p->curve);
                $to = array_map(static fn (array $curve): int => array_key_last($curve) ?? 0, $p->curve);
                $first = min([0, ...$from]);
                $room = new Room($first, ['field' => array_fill(0, max([0, ...$to]) - $first + 1, $metres)],
                    array_fill(0, \count($from), 'field'), $from, $to);
                $solution = CoverSuccessions::solve(new CoverProblem($p->needDay, $p->needUnits, $p->needReach, $p->curve, $p->setUp,
                    $p->perMetre, $p->stepMetres, 1, $p->maxSteps, $p->penalty, 3000, [], $room));
                for ($day = $first; $day <= max([0, ...$to]); ++$day) {
                    $taken = array_sum(array_map(static fn (array $s): float => $from[$s['candidate']] <= $day
                        && $day <= $to[$s['candidate']] ? $s['steps'] * $p->stepMetres[$s['candidate']] : 0.0, $solution->plantings));
                    self::assertLessThanOrEqual($metres + 1e-6, $taken, $instance->name);
                }
                $costs[] = $solution->cost;
            }
            self::assertLessThanOrEqual($costs[0] * 1.005, $costs[1]);
            self::assertLessThanOrEqual($costs[1] * 1.005, $costs[2]);
        }
    }
}
