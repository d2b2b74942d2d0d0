<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Succession\Kernel\OnceProblem;
use JollyFurrow\Succession\Kernel\OnceSuccessions;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Published: H. M. Wagner and T. M. Whitin, "Dynamic Version of the Economic Lot Size Model", Management Science 5
 * (1958) 89-96, the worked example of twelve months: optimum 864 with set-ups in months 1, 3, 5, 8, 10 and 11. The
 * costs with a hold of one period (901) and of none (1,234) are our own working of the same data: with none, every
 * month has its own set-up and the cost is the sum of them.
 */
final class WagnerWhitinTest extends TestCase
{
    private const DEMAND = [69, 29, 36, 61, 61, 26, 34, 67, 45, 67, 79, 56];
    private const SET_UP = [85, 102, 102, 101, 98, 114, 105, 86, 119, 110, 98, 114];

    /** @return iterable<string, array{int, float}> */
    public static function holds(): iterable
    {
        yield 'no end of hold' => [100, 864.0];
        yield 'one period' => [1, 901.0];
        yield 'none' => [0, 1234.0];
    }

    #[DataProvider('holds')]
    public function testCost(int $hold, float $cost): void
    {
        self::assertSame($cost, OnceSuccessions::solve(self::problem($hold))->cost);
    }

    public function testSetUps(): void
    {
        $plantings = OnceSuccessions::solve(self::problem(100))->plantings;

        self::assertSame([1, 3, 5, 8, 10, 11], array_map(static fn (array $p): int => $p['candidate'] + 1, $plantings));
    }

    public function testWithNoneEveryMonthHasItsOwnSetUp(): void
    {
        self::assertSame(1234, array_sum(self::SET_UP));
    }

    private static function problem(int $hold): OnceProblem
    {
        $periods = range(1, 12);
        $zeros = array_fill(0, 12, 0.0);

        return new OnceProblem($periods, self::DEMAND, array_fill(0, 12, 0), array_map(strval(...), $periods), $periods, $periods, $periods,
            array_map(static fn (int $t): int => $t + $hold, $periods), array_fill(0, 12, 1.0), array_map(floatval(...), self::SET_UP),
            $zeros,
            array_fill(0, 12, array_fill(0, 200, 0.0)), 0, array_fill(0, 12, 1.0), 1, array_fill(0, 12, 10_000), 1e6, 1.0);
    }
}
