<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Succession\Kernel\CoverProblem;
use JollyFurrow\Succession\Kernel\CoverSuccessions;
use PHPUnit\Framework\TestCase;

final class CoverSuccessionsTest extends TestCase
{
    public function testOneCutEachForTwoFarMarketDays(): void
    {
        $solution = CoverSuccessions::solve(self::problem([20, 60], [10, 10], [[20 => 1.0], [40 => 1.0], [60 => 1.0]]));

        self::assertSame([['candidate' => 0, 'steps' => 2], ['candidate' => 2, 'steps' => 2]], $solution->plantings);
        self::assertSame(0, $solution->short);
        self::assertEqualsWithDelta(2 * (100 + 10 * 5.0), $solution->cost, 1e-9);
    }

    public function testASecondCutIsUsedRatherThanAnotherSowing(): void
    {
        $solution = CoverSuccessions::solve(self::problem([20, 34], [10, 8], [[20 => 1.0, 34 => 0.8], [34 => 1.0]]));

        self::assertSame([['candidate' => 0, 'steps' => 2]], $solution->plantings);
    }

    public function testACutIsNeverBroughtForward(): void
    {
        self::assertSame([], CoverSuccessions::solve(self::problem([20], [10], [[21 => 1.0]]))->plantings);
    }

    public function testWhatCostsMoreThanItsPromiseIsLeft(): void
    {
        $solution = CoverSuccessions::solve(self::problem([20], [1], [[20 => 1.0]], penalty: 20.0));

        self::assertSame([], $solution->plantings);
        self::assertSame([20.0, 1], [$solution->cost, $solution->short]);
    }

    public function testEffortIsBoundedAndTheResultRepeats(): void
    {
        $days = range(20, 200, 3);
        $curves = array_map(static fn (int $k): array => [15 + 4 * $k => 1.0, 30 + 4 * $k => 0.7], range(0, 50));
        $problem = self::problem($days, array_fill(0, \count($days), 7), $curves, effort: 600);
        $solution = CoverSuccessions::solve($problem);

        self::assertEquals($solution, CoverSuccessions::solve($problem));
        self::assertLessThan(array_sum($problem->needUnits) * $problem->penalty, $solution->cost);
        self::assertLessThan(10_000, $solution->valuations);
    }

    /**
     * @param list<int>               $days
     * @param list<int>               $units
     * @param list<array<int, float>> $curves
     */
    private static function problem(array $days, array $units, array $curves, float $penalty = 1000.0, int $effort = 2000): CoverProblem
    {
        $n = \count($curves);

        return new CoverProblem($days, $units, array_fill(0, \count($days), 3), $curves, array_fill(0, $n, 100.0),
            array_fill(0, $n, 5.0), array_fill(0, $n, 5.0), 1, array_fill(0, $n, 20), $penalty, $effort);
    }
}
