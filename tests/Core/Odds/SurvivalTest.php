<?php

declare(strict_types=1);

namespace JollyFurrow\Odds;

use PHPUnit\Framework\TestCase;

final class SurvivalTest extends TestCase
{
    /** Weeks to relapse under 6-MP, Gehan 1965, as printed with the estimate of Kaplan and Meier in textbooks (from memory, sure). */
    public function testTheRemissionTimes(): void
    {
        $survival = Survival::of([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]);
        $told = [];
        foreach ($survival->steps as [$week, $share]) {
            $told[(int) $week] = round($share, 3);
        }
        self::assertSame([6 => 0.857, 7 => 0.807, 10 => 0.753, 13 => 0.690, 16 => 0.627, 22 => 0.538, 23 => 0.448], $told);
        self::assertSame([9, 21, 35.0], [$survival->ended, $survival->seen, $survival->most]);
    }

    /** Kaplan & Meier 1958, their worked example (from memory, fairly sure): .8 1.0+ 2.7+ 3.1 5.4 7.0+ 9.2 12.1+. */
    public function testTheWorkedExample(): void
    {
        $survival = Survival::of([0.8, 3.1, 5.4, 9.2], [1.0, 2.7, 7.0, 12.1]);
        self::assertSame([0.875, 0.7, 0.525, 0.2625], array_map(static fn (float $x): float => round($survival->beyond($x), 4),
            [0.8, 3.1, 5.4, 9.2]));
        self::assertSame(1.0, $survival->beyond(0.79));
        self::assertSame(0.2625, round($survival->beyond(99.0), 4));
    }

    /** Amounts that no short decimal writes are amounts like any other. */
    public function testAmountsOfManyDigits(): void
    {
        self::assertEqualsWithDelta([0.5, 0.0], array_column(Survival::of([sqrt(2.0), \M_PI])->steps, 1), 1e-12);
    }

    public function testTheLeastAmountThatSoManyDoNotLastBeyond(): void
    {
        $survival = Survival::of([10.0, 20.0, 30.0, 40.0]);
        self::assertSame([10.0, 20.0, 30.0, 40.0], array_map($survival->by(...), [0.25, 0.5, 0.75, 0.76]));
        self::assertNull(Survival::of([10.0], [20.0, 30.0, 40.0])->by(0.5), 'the others were never seen to end');
        self::assertNull(Survival::of([])->by(0.1));
    }
}
