<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Land;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Ground and time are half-open: what ends where another begins does not touch it. */
final class StretchTest extends TestCase
{
    #[TestWith(['A1', 0, 100, 0])]
    #[TestWith(['A1', 50, 150, 50])]
    #[TestWith(['A1', 100, 200, 100])]
    #[TestWith(['A1', 200, 300, 0])]
    #[TestWith(['A2', 100, 200, 0])]
    public function testCommonGround(string $bed, int $from, int $to, int $common): void
    {
        $stretch = Stretch::of('A1', 100, 200);
        $other = Stretch::of($bed, $from, $to);

        self::assertSame([$common, $common > 0], [$other->common($stretch), $other->sharesGroundWith($stretch)]);
    }

    #[TestWith([10, 10, 1.0])]
    #[TestWith([-1, 10, 1.0])]
    #[TestWith([0, 10, 0.0])]
    #[TestWith([0, 10, 1.5])]
    public function testThereIsNoStretchOfNothing(int $from, int $to, float $share): void
    {
        $this->expectException(\LogicException::class);
        Stretch::of('A1', $from, $to, $share);
    }

    #[TestWith([1, 9, false])]
    #[TestWith([1, 10, true])]
    #[TestWith([20, 25, true])]
    #[TestWith([21, 25, false])]
    public function testPeriodsFromFirstToLastDayShareTheirDays(int $first, int $last, bool $overlaps): void
    {
        $period = Period::fromFirstToLast(Day::of(10), Day::of(20));

        self::assertSame($overlaps, $period->overlaps(Period::fromFirstToLast(Day::of($first), Day::of($last))));
        self::assertSame([11, 20], [$period->days(), $period->last()->number]);
    }

    /** Shares are rounded when they are typed: a ten-thousandth over the whole width is no overlap, a hundredth is. */
    #[TestWith([0.5, 0.5, false])]
    #[TestWith([0.33, 0.67005, false])]
    #[TestWith([0.5, 0.51, true])]
    #[TestWith([1.0, 0.1, true])]
    public function testTwoBesideEachOtherInOneBed(float $one, float $other, bool $isInTheWay): void
    {
        self::assertSame($isInTheWay, Stretch::of('A1', 0, 100, $one)->isInTheWayOf(Stretch::of('A1', 50, 150, $other)));
    }
}
