<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Pick;

use JollyFurrow\Pick\Spread;
use JollyFurrow\Pick\SpreadDays;
use JollyFurrow\Pick\SpreadWant;
use JollyFurrow\Pick\UnusableSpread;
use PHPUnit\Framework\TestCase;

/** Small spreads worked out by hand. */
final class SpreadTest extends TestCase
{
    /** As fresh as can be: what ages fastest by the hour on the day, the rest the day before. */
    public function testWhatAgesFastestIsPickedLast(): void
    {
        $spread = Spread::of([self::want('lettuce', 40, 0.1, lost: 8.0), self::want('carrot', 40, 0.1, lost: 1.0)],
            new SpreadDays([10.0, 10.0, 4.0], [0.0, 0.0, 0.0], 2700));

        self::assertSame([[2 => 40], [1 => 40]], $spread->units);
        self::assertEqualsWithDelta(40.0, $spread->cost, 1e-9);
    }

    /** Three hours a day: an hour of overtime at 27.00 is dearer than a day of age, and cheaper than none at all. */
    public function testOvertimeOnlyWhereItSaves(): void
    {
        $early = Spread::of([self::want('kale', 60, 0.1, lost: 5.0)], new SpreadDays([3.0, 3.0], [1.0, 1.0], 2700));
        $late = Spread::of([self::want('kale', 70, 0.1, lost: 5.0, from: 1, short: 400)], new SpreadDays([3.0, 3.0], [1.0, 1.0], 2700));

        self::assertSame([[0 => 30, 1 => 30]], $early->units);
        self::assertSame([[1 => 40]], $late->units);
        self::assertSame([30], $late->short);
        self::assertEqualsWithDelta(2700 + 30 * 400, $late->cost, 1e-6);
    }

    /** No room at all: everything is cut on the day. */
    public function testWithoutRoomAllIsCutOnTheDay(): void
    {
        $spread = Spread::of([self::want('leaf', 30, 0.1, room: 'cold')], new SpreadDays([5.0, 5.0, 1.0], [0.0, 0.0, 0.0], 2700,
            rooms: ['cold' => [0.0, 0.0, 0.0]]));

        self::assertSame([[2 => 10]], $spread->units);
        self::assertSame([20], $spread->short);
    }

    /** The last day it can be picked is kept. */
    public function testNotAfterItsLastDay(): void
    {
        $spread = Spread::of([new SpreadWant('pea', 0, 2, 20, 0.1, 2.0, 300.0, until: 1)], new SpreadDays([5.0, 5.0, 5.0],
            [0.0, 0.0, 0.0], 2700));

        self::assertSame([[1 => 20]], $spread->units);
    }

    public function testPickingTakesTime(): void
    {
        $this->expectException(UnusableSpread::class);
        self::want('air', 1, 0.0);
    }

    private static function want(string $source, int $units, float $hours, float $lost = 2.0, int $from = 0, float $short = 500.0,
        ?string $room = null): SpreadWant
    {
        return new SpreadWant($source, $from, 'kale' === $source ? 1 : 2, $units, $hours, $lost, $short, $room, 10.0);
    }
}
