<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\CropWorth;
use JollyFurrow\Market\LikeDays;
use JollyFurrow\Market\Missing;
use JollyFurrow\Market\Returning;
use JollyFurrow\Market\SaleTrace;
use JollyFurrow\Market\TillFile;
use JollyFurrow\Measure\Money;
use JollyFurrow\Practice\Stall;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Price;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MarketDayTest extends TestCase
{
    /** Three for five: of 300 bunches at 3.00, 180 go singly and 60 in pairs at 5.00: 840; all pairs 750, all single 900 (practice.md). */
    public function testMultiBuyPrices(): void
    {
        $price = new Price('', '', 'radish', Money::fromCents(300), many: 2, forMany: Money::fromCents(500));

        self::assertSame([84_000, 75_000, 90_000], [180 * $price->cents(1) + 60 * $price->cents(2), $price->cents(300), 300
            * $price->cents(1)]);
        self::assertSame([800, 1_000], [$price->cents(3), $price->cents(4)]);
    }

    /** Of that outlet before everywhere, of that time before always, else the product's own. */
    public function testTheNarrowestPrice(): void
    {
        $garden = LittleGarden::on('2026-04-08');
        $each = static fn (string $key, string $outlet, int $cents, ?string $from = null, ?string $until = null): Price => new Price($key,
            $outlet, 'radish', Money::fromCents($cents), null === $from ? null : Day::parse($from), null === $until ? null
                : Day::parse($until));
        $market = new MarketBook(prices: [$each('a', '', 210), $each('b', '', 190, '2026-06-01', '2026-06-30'), $each('c', 'stall', 250)]);
        $cents = static fn (string $outlet, string $day, MarketBook $book): int => $book->price($outlet, $garden->products[0],
            Day::parse($day))->each->cents;

        self::assertSame([250, 210, 190, 210, 200], [$cents('stall', '2026-06-10', $market), $cents('inn', '2026-05-31', $market),
            $cents('inn', '2026-06-30', $market), $cents('inn', '2026-07-01', $market), $cents('inn', '2026-05-01', new MarketBook())]);
        $thin = new Price('d', '', 'radish', Money::fromCents(90), size: 'thin');
        $sized = new MarketBook(prices: [...$market->prices, $thin]);
        $at = static fn (string $size): int => $sized->price('stall', $garden->products[0], Day::parse('2026-06-10'), $size)->each->cents;
        self::assertSame([90, 250, 250], [$at('thin'), $at('thick'), $at('')], 'of that size before of that outlet');
        self::assertSame(['thin'], $sized->sizesPriced('radish'));
    }

    /** Sold, brought back, given and lost are what was taken, to the unit, over a season by chance; and no lot gives more than it held. */
    public function testEverySaleComesOfALot(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $lots = $days = [];
        for ($week = 0; $week < 20; ++$week) {
            $saturday = Day::parse('2026-04-11')->plus(7 * $week);
            $units = $random->getInt(20, 60);
            $lots[] = Stores::lot('radish', $saturday->plus(-$random->getInt(0, 4))->iso(), 100 * $units, '', more: '-'.$week);
            $day = Stall::gone('stall', $saturday, ['radish' => 40.0], ['radish' => $units], Weathering::cases()[$week % 4], $week, true);
            self::assertNotNull($day);
            $days[] = $day;
            $line = $day->lines[0];
            self::assertSame($line->taken, $line->units() + $line->back + $line->given + $line->lost);
            self::assertSame(0 === $line->back && $line->units() > 0, $line->isOut());
        }
        $garden = LittleGarden::on('2026-10-01')->storing(new StoreBook([], $lots, [], [], Stores::keeping()));
        $trace = SaleTrace::of($garden, $days);
        self::assertSame([], $trace->traceless);
        $sold = array_sum(array_map(static fn (MarketDay $d): int => 100 * $d->lines[0]->units(), $days));
        $traced = 0;
        foreach ($lots as $lot) {
            $of = array_sum(array_column($trace->ofLot($lot->key), 2));
            self::assertLessThanOrEqual($lot->hundredths, $of);
            $traced += $of;
        }
        self::assertSame($sold, $traced);
    }

    /** Five days old it was not of that lot; what is sold without one is told. */
    public function testSoldWithoutALot(): void
    {
        $lot = Stores::lot('radish', '2026-04-06', 3_000, '');
        $day = new MarketDay('stall', Day::parse('2026-04-11'), [new Sold('radish', 12, 2)]);
        $trace = static fn (HarvestLot $of): SaleTrace => SaleTrace::of(LittleGarden::on('2026-04-12')->storing(new StoreBook([], [$of],
            [], [],
            Stores::keeping())), [$day]);

        self::assertSame(['stall/2026-04-11' => ['radish' => 1_000]], $trace($lot)->traceless);
        self::assertSame([], $trace(Stores::lot('radish', '2026-04-07', 3_000, ''))->traceless);
    }

    /** Two of ten came back and lie in the cold again, as old as they are; the rest is sold. */
    public function testBackIntoStore(): void
    {
        $lot = Stores::lot('radish', '2026-04-10', 1_000, '');
        $book = new StoreBook([Stores::cold()], [$lot], [], [], Stores::keeping());
        $back = Returning::of(LittleGarden::on('2026-04-11')->storing($book), new MarketDay('stall', Day::parse('2026-04-11'),
            [new Sold('radish', 10, 2)]), 'cold');
        self::assertSame([HandlingKind::Returned, 200], [$back[0]->kind, $back[0]->hundredths]);
        $ledger = Ledger::on($book->with([], $back), Day::parse('2026-04-11'));

        self::assertSame([200, 800, 0], [$ledger->at($lot->key, 'cold'), $ledger->sold($lot->key), $ledger->gone($lot->key,
            HandlingKind::Returned)]);
        self::assertSame([100], array_map(static fn ($h): int => $h->hundredths, Returning::of(LittleGarden::on('2026-04-11')->storing(
            $book->with([], $back)), new MarketDay('stall', Day::parse('2026-04-11'), [new Sold('radish', 10, 3)]), 'cold')),
            'counted again: one more');
        self::assertSame([], Returning::of(LittleGarden::on('2026-04-20')->storing($book), new MarketDay('stall', Day::parse('2026-04-18'),
            [new Sold('radish', 10, 2)]), 'cold'), 'too long ago');
    }

    /**
     * @param list<array{string, int, int|null}> $lines
     * @param list<string>                       $unknown
     */
    #[DataProvider('tills')]
    public function testATillsFile(string $text, array $lines, array $unknown = []): void
    {
        $read = TillFile::read($text, LittleGarden::on('2026-04-08')->products);

        self::assertSame($lines, array_map(static fn (Sold $s): array => [$s->product, $s->taken, $s->cents], $read->lines));
        self::assertSame($unknown, $read->unknown);
    }

    /** @return iterable<string, array{string, list<array{string, int, int|null}>, 2?: list<string>}> */
    public static function tills(): iterable
    {
        yield 'a line a sale, added up' => ["Product,Units,Amount\nRadishes,2,4.00\nRadishes,1,2.00\nLettuce,3,5.40", [['radish', 3, 600],
            ['lettuce', 3, 540]]];
        yield 'semicolons, commas in numbers, other headings' => ["Time;Article;Qty;Total\n08:10;radishes;2;4,00 EUR", [['radish', 2,
            400]]];
        yield 'what it does not know' => ["Product,Units,Amount\nCoffee,1,2.50\nRadishes,two,4.00", [], ['Coffee,1,2.50',
            'Radishes,two,4.00']];
        yield 'no headings' => ['Radishes,2,4.00', [], ['Radishes,2,4.00']];
    }

    /** Wet Saturdays of spring, three of them; else all of spring; else all there are. */
    public function testDaysLikeIt(): void
    {
        $day = static fn (string $iso, Weathering $w, int $units): MarketDay => new MarketDay('stall', Day::parse($iso), [new Sold('radish',
            $units + 5, 5)], $w);
        $history = [$day('2025-04-12', Weathering::Wet, 20), $day('2025-04-19', Weathering::Wet, 26), $day('2025-05-03', Weathering::Fair,
            50),
            $day('2025-05-10', Weathering::Wet, 22), $day('2025-09-06', Weathering::Wet, 90)];
        $like = static fn (Weathering $w, string $on = '2026-04-18'): LikeDays => LikeDays::of($history, 'stall', 'radish',
            Day::parse($on), $w);

        self::assertSame([3, true, [20, 26]], [\count($like(Weathering::Wet)->days), $like(Weathering::Wet)->isLike,
            $like(Weathering::Wet)->range('radish')]);
        self::assertSame([4, false], [\count($like(Weathering::Hot)->days), $like(Weathering::Hot)->isLike]);
        self::assertCount(5, $like(Weathering::Hot, '2026-12-19')->days);
        self::assertSame([[], []], LikeDays::of($history, 'inn', 'radish', Day::parse('2026-04-18'), Weathering::Wet)->sales('radish'));
    }

    /** 50,000 for 3,500 kg breaks even at 14.29 a kg: gains at 40, loses at 10 (practice.md). */
    public function testBreakEven(): void
    {
        self::assertSame(14.29, round((float) CropWorth::breakEvenOf(50_000.0, 3_500.0), 2));
        self::assertNull(CropWorth::breakEvenOf(50_000.0, 0.0));
    }

    /** Thirty bunches at 2.00 and an hour's work, off five metres for six weeks. */
    public function testWhatACropWasWorth(): void
    {
        $radish = LittleGarden::radish('2026-03-08');
        $cut = Stores::lot('radish', '2026-04-10', 3_000, '', $radish->key);
        $lot = new HarvestLot($cut->key, $cut->day, 'radish', 'radish', $radish->key, 'A1', $cut->grade, 3_000, 60);
        $garden = self::selling([new MarketDay('stall', Day::parse('2026-04-11'), [new Sold('radish', 30, 0)])],
            LittleGarden::on('2026-06-01',
                [$radish])->storing(new StoreBook([], [$lot], [], [], Stores::keeping())));
        $worth = CropWorth::all($garden, Book::crops(), Period::fromFirstToLast(Day::parse('2026-01-01'), Day::parse('2026-12-31')))[0];
        $weeks = $radish->clear->since($radish->bedStart) + 1;

        self::assertSame([6_000.0, 30.0, 1.0], [$worth->takings, $worth->sold, $worth->hours]);
        self::assertEqualsWithDelta(5 * $weeks / 7, $worth->metreWeeks, 1e-9);
        self::assertEqualsWithDelta((6_000 - $garden->settings->wage) / (5 * $weeks / 7), $worth->perMetreWeek(), 1e-9);
        self::assertSame([Missing::Bought], $worth->missing);
    }

    /** @param list<MarketDay> $days */
    private static function selling(array $days, Garden $garden): Garden
    {
        return $garden->selling(new MarketBook(days: $days));
    }
}
