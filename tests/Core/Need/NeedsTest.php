<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Need;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Measure\Money;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Need\Values;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\TestCase;

final class NeedsTest extends TestCase
{
    private const WEDNESDAY = '2026-06-03';

    /** 20 heads, 6 % lost in packing: 20 / 0.94 = 21.3, so 22. */
    public function testPackingLossIsPutOnTopInWholeUnits(): void
    {
        self::assertSame([22], self::units('lettuce-head', [['boxes', 'lettuce', 20.0]]));
    }

    /** 10 bags of 150 g: 9 units of 100 g of lettuce (/ 0.94), 3 of arugula (/ 0.94). */
    public function testAMixIsTakenApartByItsShares(): void
    {
        self::assertSame([10], self::units('lettuce-leaf', [['boxes', 'mix', 10.0]]));
        self::assertSame([4], self::units('arugula', [['boxes', 'mix', 10.0]]));
    }

    public function testProductsOfOneItemShareItsNeed(): void
    {
        $needs = Needs::of(self::garden([['boxes', 'carrots-kg', 2.0], ['boxes', 'carrots-bag', 4.0]]),
            Book::crops())->for('carrot-storage');

        self::assertCount(1, $needs);
        self::assertSame((int) ceil(40 / 0.88), $needs[0]->units);
    }

    public function testAnOutletThatWantsItFreshHasItsOwnNeedAfterTheOthers(): void
    {
        $needs = Needs::of(self::garden([['boxes', 'carrots-kg', 2.0], ['kitchen', 'carrots-kg', 1.0]]),
            Book::crops())->for('carrot-storage');

        self::assertSame([150, 2], array_map(static fn (Need $n): int => $n->reach, $needs));
    }

    public function testOutletsAreServedByPriority(): void
    {
        $need = Needs::of(self::garden([['stall', 'lettuce', 5.0], ['boxes', 'lettuce', 5.0]]), Book::crops())->for('lettuce-head')[0];

        self::assertSame(['boxes', 'stall'], array_keys($need->byOutlet));
    }

    public function testReachIsTheLeastOfKeepingPickWindowAndFreshness(): void
    {
        $radish = Book::crops()->get('radish')->produce;
        $stored = Book::crops()->get('onion')->produce;
        $outlet = static fn (?int $fresh): Outlet => new Outlet('o', 'O', Weekday::Friday, 1, 4, $fresh);

        self::assertSame([4, 2, 180, 2], [$outlet(null)->reach($radish), $outlet(2)->reach($radish), $outlet(null)->reach($stored),
            $outlet(2)->reach($stored)]);
    }

    /** 3.20 for 0.9 + 0.3 + 0.3 units: every unit of 100 g fetches 2.1333. */
    public function testAMixesPriceIsSplitByUnits(): void
    {
        $values = Values::of(self::garden([['boxes', 'mix', 10.0]]));

        self::assertEqualsWithDelta(320 / 1.5, $values['lettuce-leaf'], 1e-9);
    }

    /**
     * @param list<array{string, string, float}> $promised
     *
     * @return list<int>
     */
    private static function units(string $item, array $promised): array
    {
        return array_map(static fn (Need $n): int => $n->units, Needs::of(self::garden($promised), Book::crops())->for($item));
    }

    /** @param list<array{string, string, float}> $promised */
    private static function garden(array $promised): Garden
    {
        $product = static fn (string $key, int $price, Part $part, Part ...$more): Product => new Product($key, $key, 'unit',
            Money::fromCents($price), [$part, ...array_values($more)]);
        $day = Day::parse(self::WEDNESDAY);

        return new Garden('G', $day->plus(-30), new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')),
            Settings::usual(), [], [], [], [
            new Outlet('stall', 'Stall', Weekday::Wednesday, 2, 4, null),
            new Outlet('boxes', 'Boxes', Weekday::Wednesday, 1, 4, null),
            new Outlet('kitchen', 'Kitchen', Weekday::Wednesday, 3, 4, 2),
        ], [
            $product('lettuce', 180, new Part('lettuce-head', 1)),
            $product('mix', 320, new Part('lettuce-leaf', 0.9), new Part('arugula', 0.3), new Part('mizuna', 0.3)),
            $product('carrots-kg', 260, new Part('carrot-storage', 10)),
            $product('carrots-bag', 140, new Part('carrot-storage', 5)),
        ], array_map(static fn (array $p): Promise => new Promise($p[0], $p[1], $day, $p[2]), $promised), []);
    }
}
