<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Stock;

use JollyFurrow\Stock\FirstOut;
use JollyFurrow\Stock\LastsUntil;
use JollyFurrow\Stock\StockLot;
use JollyFurrow\Stock\StockNeed;
use PHPUnit\Framework\TestCase;

final class LastsUntilTest extends TestCase
{
    /** 100 units, 20 a week for eight weeks: the sixth week is short, 60 in all; twelve a week last to the end. */
    public function testAShareOfThePromises(): void
    {
        $until = LastsUntil::of(self::weeks(8, 20.0), [new StockLot('a', 0, 200, 100.0)]);

        self::assertSame([35, 60.0, null, null], [$until->firstShort, $until->short, $until->gap, $until->firmShort]);
        self::assertEqualsWithDelta(0.65, $until->share, 1e-6, 'below it twelve whole units a week, at it thirteen');
    }

    public function testItLasts(): void
    {
        $until = LastsUntil::of(self::weeks(8, 12.0), [new StockLot('a', 0, 200, 100.0)]);

        self::assertSame([null, 1.0], [$until->firstShort, $until->share]);
    }

    /** Spoiled after week four: from then on nothing is good; up to then all the promises are kept. */
    public function testAGap(): void
    {
        $until = LastsUntil::of(self::weeks(8, 20.0), [new StockLot('a', 0, 27, 100.0)]);

        self::assertSame([28, 28, 1.0], [$until->firstShort, $until->gap, $until->share]);
    }

    /** The orders alone are more than there is: the day is named. */
    public function testOrdersAlone(): void
    {
        $needs = [...self::weeks(3, 5.0), new StockNeed(20, 90.0, true), new StockNeed(22, 20.0, true)];

        self::assertSame(22, LastsUntil::of($needs, [new StockLot('a', 0, 200, 100.0)])->firmShort);
    }

    /** By bisection or by trying every hundredth: the same share. */
    public function testTheSameAsTryingThemAll(): void
    {
        $lots = [new StockLot('a', 0, 30, 70.0, 0.02), new StockLot('b', 10, 90, 60.0, 0.02)];
        $needs = self::weeks(9, 100.0);
        $kept = static fn (float $share): bool => !FirstOut::of(array_map(static fn (StockNeed $n): StockNeed => new StockNeed($n->day,
            floor($n->units * $share + 1e-9)), $needs), $lots)->isShort();
        $most = max([0.0, ...array_filter(range(0.0, 1.0, 0.01), $kept)]);

        self::assertEqualsWithDelta($most + 0.01, LastsUntil::of($needs, $lots)->share, 1e-6);
    }

    /** Opened before older before key, where both spoil on one day. */
    public function testTiesAmongLots(): void
    {
        $lots = [new StockLot('c', 5, 90, 10.0), new StockLot('a', 3, 90, 10.0), new StockLot('d', 5, 90, 10.0, 0.0, true),
            new StockLot('b', 3, 90, 10.0)];
        $out = FirstOut::of(array_map(static fn (int $n): StockNeed => new StockNeed(10 + $n, 10.0), range(0, 3)), $lots);

        self::assertSame(['d', 'a', 'b', 'c'], array_map(static fn (array $t): string => (string) array_key_first($t), $out->takes));
    }

    /** @return list<StockNeed> */
    private static function weeks(int $weeks, float $units): array
    {
        return array_map(static fn (int $n): StockNeed => new StockNeed(7 * $n, $units), range(0, $weeks - 1));
    }
}
