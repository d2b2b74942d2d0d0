<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Forecast;

use JollyFurrow\Forecast\Glut;
use JollyFurrow\Forecast\GlutPart;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Fifty-five bunches of radishes, ready 7 April, cut until the 13th, taken three days old by the stall; on the 11th it wants 20. */
final class GlutTest extends TestCase
{
    /** Forty over: 55 less 20 with what is lost in packing, and that off the rest. A bunch is 2.00, half an hour's wage for ten. */
    public function testInOrderOfWorth(): void
    {
        $glut = self::all(self::garden(new MarketBook(terms: [new Terms('stall', null, 24, 50)], gluts: [
            new GlutWay('p', GlutKind::Processing, 'Kraut', '', 30, 5), new GlutWay('b', GlutKind::FreeChoice, 'Bin', 'lettuce', 90),
            new GlutWay('f', GlutKind::Processing, 'Fine kraut', 'radish', 70, 8)])))[0];
        $loss = 1 - Book::crops()->get('radish')->produce->packingLoss;
        $units = (int) floor((55 - ceil(20 / $loss)) * $loss);

        self::assertSame(['radish', $units], [$glut->product->key, $glut->units]);
        self::assertSame([['Fine kraut', 16, 50.0], ['Stall', $units - 16, 10.0], ['', 0, 0.0], ['Kraut', 0, -30.0]], array_map(
            static fn (GlutPart $w): array => [$w->name, $w->units, round($w->cents, 2)], $glut->ways));
    }

    /** The last three market days sold out at 30 and more: it sells more than it is promised, at its whole price. */
    public function testAnOutletThatSellsMore(): void
    {
        $days = array_map(static fn (string $day): MarketDay => new MarketDay('stall', Day::parse($day), [new Sold('radish', 30, 0)]),
            ['2025-04-05', '2025-04-12', '2025-04-19', '2025-04-26']);
        $ways = self::all(self::garden(new MarketBook(days: $days)))[0]->ways;

        self::assertSame([GlutKind::More, 110.0], [$ways[0]->kind, round($ways[0]->cents, 2)]);
        self::assertGreaterThan(5, $ways[0]->units);
        self::assertSame(GlutKind::GreenManure, $ways[1]->kind, 'orders go nowhere else');
    }

    /** Thirty units a week are sixty in two weeks, of both crops together: what is worth most goes first. */
    public function testAWayTakesSoManyOfAllCropsTogether(): void
    {
        $garden = LittleGarden::on('2026-04-08', [LittleGarden::radish('2026-03-08', standing: Standing::Growing),
            LittleGarden::lettuce('2026-01-25', standing: Standing::Growing)], ['2026-04-11' => 20])->selling(new MarketBook(gluts: [
                new GlutWay('p', GlutKind::Processing, 'Kraut', '', 90, 30)]));
        $given = array_map(static fn (Glut $g): array => [$g->product->key, $g->units, $g->ways[0]->units], self::all($garden));

        self::assertSame([['lettuce', 84, 60], ['radish', $given[1][1], 0]], $given);
    }

    /** Two bunches are none; and what is good beyond two weeks is none yet. */
    public function testWhatIsNone(): void
    {
        self::assertSame([], self::all(self::garden(new MarketBook(), 48)), 'two');
        self::assertSame([4], array_map(static fn (Glut $g): int => $g->units, self::all(self::garden(new MarketBook(), 47))));
        self::assertSame([], Glut::all(self::garden(new MarketBook()), Book::crops(), 4, ['radish' => 0.05]));
    }

    private static function garden(MarketBook $market, int $promised = 20): Garden
    {
        return LittleGarden::on('2026-04-08', [LittleGarden::radish('2026-03-08', standing: Standing::Growing)],
            ['2026-04-11' => $promised])->selling($market);
    }

    /** @return list<Glut> */
    private static function all(Garden $garden): array
    {
        return Glut::all($garden, Book::crops(), 14, ['radish' => 0.05]);
    }
}
