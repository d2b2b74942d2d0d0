<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Forecast;

use JollyFurrow\Forecast\ForecastLine;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Forecast\ReadyDays;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** One stall on Saturdays; ten metres of lettuce give ninety heads, fit for a week. Our own model of the spread. */
final class MarketForecastTest extends TestCase
{
    /** Without a climate its day is sure; one planting gives a fifth less in one year of ten, a fifth more in one. */
    public function testWhatOnePlantingGives(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-01', standing: Standing::Growing);

        self::assertSame([['2026-06-13', 72, 90, 108], ['2026-06-20', 72, 90, 108]], self::told(LittleGarden::on('2026-06-08',
            [$lettuce])));
    }

    /** Half of the spread is each planting's own: two that give as much spread by the root of three quarters of it. */
    public function testTwoPlantingsAreSurerThanOne(): void
    {
        $two = [LittleGarden::lettuce('2026-04-01', to: 20_000_000, standing: Standing::Growing),
            LittleGarden::lettuce('2026-04-02', 'A3', to: 20_000_000, standing: Standing::Growing)];
        $spread = 0.2 * sqrt(0.75);

        self::assertSame([2 * (int) floor(180 * (1 - $spread)), 360, 2 * (int) floor(180 * (1 + $spread))],
            \array_slice(self::told(LittleGarden::on('2026-06-13', $two))[0], 1));
    }

    /** Some of it was pulled and counted: half the spread. */
    public function testASampleMakesItSurer(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-01', standing: Standing::Growing);
        $g = LittleGarden::on('2026-06-13', [$lettuce]);
        $sampled = $g->noting([new FieldNote($lettuce->key, Happening::Sampled, Day::parse('2026-06-10'), null, null, null, '')]);

        self::assertSame([81, 90, 99], \array_slice(self::told($sampled)[0], 1));
    }

    /** What lies in store is there; by heat and light a crop two months off is later in a cool year, and not there on its first day. */
    public function testStoreIsSureAndTheFieldComesLate(): void
    {
        $lot = Stores::lot('lettuce-head', '2026-06-12', 3_000);
        $stored = LittleGarden::on('2026-06-13')->storing(new StoreBook([Stores::cold()], [$lot], [], [], Stores::keeping()));
        self::assertSame([30, 30, 30], \array_slice(self::told($stored)[0], 1));
        $cleared = LittleGarden::lettuce('2026-04-01', to: 3_400_000, standing: Standing::Growing);
        $own = Stores::lot('lettuce-head', '2026-06-12', 3_000, planting: $cleared->key);
        self::assertSame([30, 30, 30], \array_slice(self::told(LittleGarden::on('2026-06-13', [$cleared])->storing(new StoreBook(
            [Stores::cold()], [$own], [], [], Stores::keeping())))[0], 1), 'of a planting that has given it all');

        $lettuce = LittleGarden::lettuce('2026-04-03', standing: Standing::Growing);
        $garden = LittleGarden::timed('2026-05-10', [$lettuce]);
        $days = ReadyDays::of($garden, $lettuce, Book::crops()->get('lettuce-head'));
        self::assertLessThan($lettuce->ready->number, $days->early);
        self::assertGreaterThan($lettuce->ready->number, $days->late);
        self::assertGreaterThan(0.1, $days->grown);
        self::assertLessThan(0.3, $days->grown);
        $there = array_column(self::told($garden, 50), null, 0);
        self::assertSame('2026-06-14', $lettuce->ready->iso());
        self::assertSame([0, 0], [$there['2026-06-13'][1], $there['2026-06-13'][2]], 'ready the day after');
        self::assertGreaterThan(0, $there['2026-06-13'][3], 'in a warm year');
        $dayBefore = LittleGarden::timed('2026-05-10', [LittleGarden::lettuce('2026-04-02', standing: Standing::Growing)]);
        self::assertSame([0, 90], \array_slice(array_column(self::told($dayBefore, 50), null, 0)['2026-06-13'], 1, 2),
            'late in a cool year');
    }

    /** Who is promised some has a claim on it; what is left goes to nobody else first. */
    public function testWhatIsPromisedIsToldBesideIt(): void
    {
        $radish = LittleGarden::radish('2026-03-08', standing: Standing::Growing);
        $line = self::lines(LittleGarden::on('2026-04-06', [$radish], ['2026-04-11' => 50]))[0];

        self::assertSame([54, 55, 44], [$line->promised, $line->there->likely, $line->there->sure]);
        self::assertSame(10, $line->notSure());
    }

    /** @return list<array{string, int, int, int}> */
    private static function told(Garden $garden, int $days = 14): array
    {
        return array_map(static fn (ForecastLine $l): array => [$l->day->iso(), $l->there->sure, $l->there->likely, $l->there->atBest],
            self::lines($garden, $days));
    }

    /** @return list<ForecastLine> */
    private static function lines(Garden $garden, int $days = 14): array
    {
        return MarketForecast::of($garden, Book::crops(), $days)->forOutlet('stall');
    }

    /** Nothing is ready before it is grown; what stands ready is. */
    public function testHowFarItIs(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-01', standing: Standing::Growing);
        $grown = static fn (string $day, Planting $p): float => ReadyDays::of(LittleGarden::on($day, [$p]), $p,
            Book::crops()->get('lettuce-head'))->grown;

        self::assertSame([0.0, 0.5, 1.0], [$grown('2026-04-29', $lettuce), $grown('2026-05-21', $lettuce), $grown('2026-06-12', $lettuce)]);
        self::assertSame(0.0, $grown('2026-05-21', LittleGarden::lettuce('2026-04-01', standing: Standing::InNursery)));
    }
}
