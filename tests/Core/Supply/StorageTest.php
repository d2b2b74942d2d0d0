<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Supply;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\TestCase;

/** Carrots for the winter: 40 kg every week from October to February. */
final class StorageTest extends TestCase
{
    private const WEEKS = 20;

    public function testSowingsOfEarlySummerAreLiftedAndServeTheWholeWinterFromStore(): void
    {
        $plan = self::plan(null);

        $short = array_sum(array_map(static fn (Shortage $s): int => $s->units, $plan->shortages));
        self::assertLessThan(0.01 * self::WEEKS * 455, $short);
        foreach ($plan->new as $planting) {
            self::assertLessThan(Day::parse('2026-07-15')->number, $planting->sow->number);
            self::assertLessThan(Day::parse('2026-12-01')->number, $planting->clear->number);
        }
    }

    /** Eight in a thousand are lost every week; packing takes 12 %: more is grown than is promised. */
    public function testWhatShrinksInStoreIsGrownOnTop(): void
    {
        $grown = array_sum(array_map(static fn (Planting $p): float => $p->perMetre * $p->length()->metres(), self::plan(null)->new));
        $promised = self::WEEKS * 400 / 0.88;

        self::assertGreaterThan($promised * 1.05, $grown);
        self::assertLessThan($promised * 1.25, $grown);
    }

    public function testAnOutletThatWantsThemFreshGetsNoneFromStore(): void
    {
        $plan = self::plan(3);
        $last = max([0, ...array_map(static fn (Planting $p): int => $p->clear->number, $plan->new)]);

        foreach ($plan->needs['carrot-storage'] as $j => $need) {
            if ($need->day > $last + 3) {
                self::assertSame(0, $plan->served['carrot-storage'][$j]);
            }
        }
        self::assertNotSame([], $plan->shortages);
    }

    /** Boxes take stored carrots all winter; a kitchen wants a few, three days old at most. */
    public function testAnOutletThatWantsThemFreshDoesNotSpoilTheStoreForTheOthers(): void
    {
        $plan = self::plan(null, 3);
        $short = array_unique(array_map(static fn (Shortage $s): string => $s->outlet, $plan->shortages));

        self::assertSame(['kitchen'], array_values($short));
        self::assertLessThanOrEqual(5, \count($plan->new), 'not a sowing for every week of the winter');
        self::assertGreaterThan(Day::parse('2026-10-20')->number, min(array_map(static fn (Shortage $s): int => $s->day->number,
            $plan->shortages) ?: [0]), 'fresh from the field it is served');
    }

    private static function plan(?int $freshDays, ?int $kitchen = null): Plan
    {
        $beds = array_map(static fn (int $i): Bed => new Bed('A'.$i, 'A', $i, Length::fromMetres(25), Length::fromCentimetres(75),
            Length::fromCentimetres(45), PlaceType::Field), range(1, 14));
        $promises = array_map(static fn (int $week): Promise => new Promise('o', 'p', Day::parse('2026-10-14')->plus(7 * $week), 40.0),
            range(0, self::WEEKS - 1));
        if (null !== $kitchen) {
            $promises = [...$promises, ...array_map(static fn (Promise $p): Promise => new Promise('kitchen', 'p', $p->day, 5.0),
                $promises)];
        }

        return (new Planner(Book::crops(), Book::recipes()))->draw(new Garden('G', Day::parse('2026-03-02'),
            new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')), Settings::usual(), ['A'], $beds, [],
            [new Outlet('o', 'O', Weekday::Wednesday, 1, 4, $freshDays), new Outlet('kitchen', 'Kitchen', Weekday::Wednesday, 2, 4,
                $kitchen ?? 0)], [new Product('p', 'P', 'kg', Money::fromCents(260), [new Part('carrot-storage', 10.0)])], $promises, []));
    }
}
