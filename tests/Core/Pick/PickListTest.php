<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Pick;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Load\LoadList;
use JollyFurrow\Pick\Cooling;
use JollyFurrow\Pick\PickLine;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Pick\PickReason;
use JollyFurrow\Pick\PickShort;
use JollyFurrow\Pick\PickTable;
use JollyFurrow\Pick\PickTraits;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use JollyFurrow\Treatment\PickRefused;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;
use PHPUnit\Framework\TestCase;

/** The stall of Saturday 11 April wants radishes; it is Wednesday the 8th. A bed of 5 m holds 55 bunches, fit from the 1st to the 7th. */
final class PickListTest extends TestCase
{
    /** A bunch is pulled in 1/70 and washed in 1/60 of an hour: 40 take 1.24 h, and are picked on the day, as fresh as can be. */
    public function testPickedOnTheDayWhenThereAreHours(): void
    {
        $list = self::list([self::radish('2026-03-08')], ['2026-04-11' => 37]);

        self::assertSame([['2026-04-11', 'A1', 40]], self::told($list), 'of 37 with the packing loss');
        self::assertEqualsWithDelta(40 * (1 / 70 + 1 / 60), $list->hours(), 1e-9);
        self::assertSame(2, $list->crates());
        self::assertSame([[Cooling::ColdWater, 2, ['Radish' => 2]]], array_map(static fn ($c): array => [$c->way, $c->hours, $c->crops],
            $list->cooled()));
    }

    /** Four tenths of an hour a day (the thirteenth bunch takes a minute more): spread over the days before, from today on. */
    public function testSpreadOverTheDaysBefore(): void
    {
        $list = self::list([self::radish('2026-03-08')], ['2026-04-11' => 37], array_fill(0, 10, 0.4));

        self::assertSame([['2026-04-08', 'A1', 1], ['2026-04-09', 'A1', 13], ['2026-04-10', 'A1', 13], ['2026-04-11', 'A1', 13]],
            self::told($list));
        self::assertSame([], $list->short);
    }

    public function testTooFewHours(): void
    {
        $list = self::list([self::radish('2026-03-08')], ['2026-04-11' => 37], array_fill(0, 10, 0.1));

        self::assertSame([PickReason::NoHours], array_map(static fn (PickShort $s): mixed => $s->why->code, $list->short));
        self::assertSame(40, array_sum(array_column(self::told($list), 2)) + $list->short[0]->units);
    }

    /** Two beds, the one that has to go first gives; the other is named, should it give less. */
    public function testTheOtherBedIsNamed(): void
    {
        $list = self::list([self::radish('2026-03-08'), self::radish('2026-03-10', 'A2', 2)], ['2026-04-11' => 37]);

        self::assertSame(['A1'], $list->lines[0]->beds());
        self::assertSame([['A2', 55.0]], array_map(static fn (array $s): array => [$s[0]->pieces[0]->bed, $s[1]],
            $list->lines[0]->spare));
    }

    public function testWhatIsInStoreIsTakenFromThere(): void
    {
        $garden = self::garden([self::radish('2026-03-08', number: 1)], ['2026-04-11' => 37])->storing(new StoreBook([Stores::cold()],
            [Stores::lot('radish', '2026-03-22', 2_500)], [], [], Stores::keeping()));
        $list = self::of($garden);

        self::assertSame([[25, 'stall']], array_map(static fn ($l): array => [$l->units, $l->outlet], $list->stored));
        self::assertSame([['2026-04-11', 'A1', 15]], self::told($list));
    }

    /** A wait until Monday: nothing of that bed on Saturday, and it is said until when. */
    public function testAWaitIsKept(): void
    {
        $garden = self::garden([self::radish('2026-03-08')], ['2026-04-11' => 37]);
        $spray = static fn (int $wait): SprayBook => new SprayBook([new Spray('s', Day::parse('2026-04-06'), ['A1'], 'Soap', $wait, 1)]);
        $kept = self::of($garden->treated($spray(7)));

        self::assertSame([], $kept->lines);
        self::assertSame([[PickRefused::Sprayed, 40]], array_map(static fn (PickShort $s): array => [$s->why->code, $s->units],
            $kept->short));
        self::assertSame([['2026-04-11', 'A1', 40]], self::told(self::of($garden->treated($spray(5)))), 'open on the day itself');
    }

    /** Thirty bunches for two of equal rank that want twenty each: fifteen each; for one served first: all of his. */
    public function testTooLittleIsShared(): void
    {
        $units = static function (int $second): array {
            $g = self::garden([self::radish('2026-03-08')->but(pieces: [Stretch::of('A1', 0, 2_750_000)])], ['2026-04-11' => 18]);
            $outlets = [...$g->outlets, new Outlet('shop', 'Shop', Weekday::Saturday, $second, 3, 3)];
            $garden = new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $outlets, $g->products,
                [...$g->promises, new Promise('shop', 'radish', Day::parse('2026-04-11'), 18.0)], $g->plantings, store: $g->store);
            $list = self::of($garden);

            return [$list->lines[0]->outlets, array_column(array_map(static fn (PickShort $s): array => [$s->outlet, $s->units],
                $list->short), 1, 0)];
        };

        self::assertSame([['shop' => 15, 'stall' => 15], ['shop' => 5, 'stall' => 5]], $units(1));
        self::assertSame([['stall' => 20, 'shop' => 10], ['shop' => 10]], $units(2));
    }

    /** Loaded in the order in which it comes out: who is served first last. */
    public function testTheLoadList(): void
    {
        $g = self::garden([self::radish('2026-03-08')], ['2026-04-11' => 18]);
        $outlets = [...$g->outlets, new Outlet('shop', 'Shop', Weekday::Saturday, 2, 3, 3)];
        $garden = new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $outlets, $g->products,
            [...$g->promises, new Promise('shop', 'radish', Day::parse('2026-04-11'), 23.0)], $g->plantings, store: $g->store);
        $loads = LoadList::all($garden, Book::crops(), self::of($garden)->on(Day::parse('2026-04-11')));

        self::assertSame([['shop', 25, 2], ['stall', 20, 1]], array_map(static fn (LoadList $l): array => [$l->outlet->key,
            $l->lines[0]->units(), $l->crates()], $loads));
        self::assertSame(['A1'], $loads[0]->lines[0]->picked[0][0]->beds());
    }

    /** Picked yesterday and on its way: nobody has to pick it again. A week ago: that was for another market. */
    public function testWhatIsOnItsWayIsNotPickedAgain(): void
    {
        $radish = self::radish('2026-03-08');
        $cut = static fn (string $day): Garden => self::garden([$radish], ['2026-04-11' => 37])->storing(new StoreBook([Stores::cold()],
            [Stores::lot('radish', $day, 2_500, '', $radish->key)], [], [], Stores::keeping()));

        self::assertSame([['2026-04-11', 'A1', 15]], self::told(self::of($cut('2026-04-07'))));
        self::assertSame([['2026-04-11', 'A1', 30]], self::told(self::of($cut('2026-04-06'))), 'all that is left');
    }

    /** Cut on Tuesday for a market on Tuesday: what was too much is gone with it. */
    public function testWhatWasTooMuchIsGoneWithItsMarketDay(): void
    {
        $radish = self::radish('2026-03-08');
        $garden = self::garden([$radish], ['2026-04-07' => 10, '2026-04-11' => 37])->storing(new StoreBook([Stores::cold()],
            [Stores::lot('radish', '2026-04-07', 2_500, '', $radish->key)], [], [], Stores::keeping()));

        self::assertSame([['2026-04-11', 'A1', 30]], self::told(self::of($garden)));
    }

    public function testNothingThere(): void
    {
        $list = self::list([], ['2026-04-11' => 37]);

        self::assertSame([[PickReason::NothingThere, 40]], array_map(static fn (PickShort $s): array => [$s->why->code, $s->units],
            $list->short));
        self::assertSame(['2026-04-11'], array_map(static fn (Day $d): string => $d->iso(), $list->markets));
    }

    private static function radish(string $sow, string $bed = 'A1', int $number = 1): Planting
    {
        return LittleGarden::radish($sow, $bed, standing: Standing::Growing, number: $number);
    }

    /**
     * @param list<Planting>     $plantings
     * @param array<string, int> $promises
     */
    private static function garden(array $plantings, array $promises): Garden
    {
        return LittleGarden::on('2026-04-08', $plantings, $promises)->storing(new StoreBook([Stores::cold()], [], [], [],
            Stores::keeping()));
    }

    /**
     * @param list<Planting>     $plantings
     * @param array<string, int> $promises
     * @param list<float>        $hours
     */
    private static function list(array $plantings, array $promises, array $hours = []): PickList
    {
        return self::of(self::garden($plantings, $promises), $hours);
    }

    /** @param list<float> $hours */
    private static function of(Garden $garden, array $hours = []): PickList
    {
        return PickList::of($garden, Book::crops(), new PickTable([new PickTraits('roots', ['radish'], 70, 60, Cooling::ColdWater, true)]),
            $hours);
    }

    /** @return list<array{string, string, int}> */
    private static function told(PickList $list): array
    {
        return array_map(static fn (PickLine $l): array => [$l->day->iso(), $l->beds()[0], $l->units], $list->lines);
    }
}
