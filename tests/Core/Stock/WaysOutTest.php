<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Stock;

use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Money;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Stock\ItemStock;
use JollyFurrow\Stock\StoreForecast;
use JollyFurrow\Stock\WayOut;
use JollyFurrow\Stock\WayOutKind;
use JollyFurrow\Stock\WaysOut;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Storage carrots: 450 kg stand and come into a cold room of twenty crates of ten kilograms on 20 November. */
final class WaysOutTest extends TestCase
{
    /** Twenty-five crates too many: the clamp has room, the ground holds them, fewer metres would do, in this order. */
    public function testWaysOutOfAFullRoom(): void
    {
        $clamp = new StorePlace('clamp', 'Clamp', Stores::cold()->kind, 4.0, 96, 60);
        [$garden, $forecast] = self::forecast([Stores::cold(), $clamp], self::carrots(Standing::Growing));
        $ways = WaysOut::of($garden, $forecast, $forecast->rooms[0]);

        self::assertSame([WayOutKind::Elsewhere, WayOutKind::InTheGround], array_map(static fn (WayOut $w): WayOutKind => $w->kind,
            $ways));
        self::assertEqualsWithDelta(25 * 100, $ways[0]->units, 1e-6, 'whole crates, in hundreds of grams');
        self::assertSame('clamp', $ways[0]->place?->key);
    }

    /** A clamp with room for twenty is no way out; what is only planned can be shortened. */
    public function testNoRoomElsewhere(): void
    {
        $clamp = new StorePlace('clamp', 'Clamp', Stores::cold()->kind, 4.0, 96, 20);
        [$garden, $forecast] = self::forecast([Stores::cold(), $clamp], self::carrots(Standing::Planned), today: '2026-06-15');
        $ways = WaysOut::of($garden, $forecast, $forecast->rooms[0]);

        self::assertSame([WayOutKind::FewerMetres], array_map(static fn (WayOut $w): WayOutKind => $w->kind, $ways));
        self::assertEqualsWithDelta(25 * 100 / 150, $ways[0]->metres, 1.0);
        self::assertSame([], WaysOut::of($garden, $forecast, $forecast->rooms[1]), 'that one is not full');
    }

    /** A warm barn is too short a stay: it is not offered. */
    public function testNotWhereItWouldRot(): void
    {
        $barn = new StorePlace('barn', 'Barn', Stores::cold()->kind, 25.0, 40, 900);
        [$garden, $forecast] = self::forecast([Stores::cold(), $barn], self::carrots(Standing::Growing));

        self::assertSame([WayOutKind::InTheGround], array_map(static fn (WayOut $w): WayOutKind => $w->kind,
            WaysOut::of($garden, $forecast, $forecast->rooms[0])));
    }

    /** In the ground for sure not so long as in every second year, and the promises beyond are short by that much sooner. */
    public function testLeftInTheGround(): void
    {
        [, $forecast] = self::forecast([Stores::cold()], self::carrots(Standing::Growing), promise: '2027-02-06');
        $ground = $forecast->items['carrot-storage']->ground;

        self::assertNotNull($ground);
        self::assertSame(['2026-12-10', '2027-01-19'], [$ground->sure->iso(), $ground->evens->iso()]);
        self::assertTrue($ground->sure->isBefore(Day::parse('2027-02-06')));
        self::assertSame(Day::parse('2027-02-06')->number, $ground->bySure->firstShort, 'frozen by then');
        self::assertNull($forecast->items['carrot-storage']->until->firstShort, 'lifted in time it lasts');
    }

    /** In a warm room what is promised in February is short; moved to the cold room it lasts. */
    public function testWhatWouldDo(): void
    {
        $item = self::lying([Stores::cold(), Stores::dry(16.0, 95)]);
        self::assertNotNull($item->until->firstShort);
        self::assertSame(['cold', 0.0, null], [$item->other?->place?->key, $item->other?->colder, $item->other?->until->firstShort]);

        $item = self::lying([Stores::dry(16.0, 95)], promise: '2026-12-26');
        self::assertSame([null, 4.0], [$item->other?->place?->key, $item->other?->colder], 'no other place: colder where it is');
        self::assertNull(self::lying([Stores::cold(), Stores::dry(16.0, 95)], 'cold')->other, 'it lasts');
    }

    /** @param list<StorePlace> $places */
    private static function lying(array $places, string $place = 'dry', string $promise = '2027-02-06'): ItemStock
    {
        return self::forecast($places, null, [Stores::lot('carrot-storage', '2026-10-30', 20_000, $place)], $promise)[1]
            ->items['carrot-storage'];
    }

    /**
     * @param list<StorePlace> $places
     * @param list<HarvestLot> $lots
     *
     * @return array{Garden, StoreForecast}
     */
    private static function forecast(array $places, ?Planting $planting, array $lots = [], ?string $promise = null,
        string $today = '2026-11-02'): array
    {
        $g = LittleGarden::timed($today, null === $planting ? [] : [$planting]);
        $promises = null === $promise ? [] : [new Promise('stall', 'carrot', Day::parse($promise), 15.0)];
        $garden = new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $g->outlets, [new Product('carrot',
            'Carrots', 'kg', Money::fromCents(200), [new Part('carrot-storage', 10.0)])], $promises, $g->plantings, [], $g->climate,
            store: new StoreBook($places, $lots, [], [], Stores::keeping()));

        return [$garden, StoreForecast::of($garden, Book::crops())];
    }

    private static function carrots(Standing $standing): Planting
    {
        $sow = Day::parse('2026-06-20');

        return new Planting('carrot-storage@2026-06-20#1', 'carrot-storage', Method::Sown, PlaceType::Field, 'compost-mulch', $sow, $sow,
            $sow->plus(-5), Day::parse('2026-11-01'), Day::parse('2026-11-20'), 150.0, [Stretch::of('A1', 0, 20_000_000),
                Stretch::of('A2', 0, 10_000_000)], $standing, false);
    }
}
