<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Supply;

use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class LotTest extends TestCase
{
    public function testAStockIsOneLotOfWholeUnits(): void
    {
        $lots = self::lots('lettuce-head', '2026-05-20', '2026-05-28', 9.3, 10_000_000);

        self::assertEquals([new Lot('p', Day::parse('2026-05-20')->number, Day::parse('2026-05-28')->number, 93.0, 0.0)], $lots);
    }

    public function testWhatShrinksInStoreIsNotRoundedBeforeItIsTaken(): void
    {
        self::assertEqualsWithDelta(61.5, self::lots('onion', '2026-08-01', '2026-08-15', 12.3, 5_000_000)[0]->units, 1e-6);
    }

    /** Three cuts, each eight tenths of the one before: of 100 units 41, 32.8 and 26.2. Whole units, none lost between. */
    public function testCutsAreWholeUnitsThatAddUp(): void
    {
        $lots = self::lots('lettuce-leaf', '2026-05-20', '2026-06-21', 16.0, 6_250_000);

        self::assertSame([40.0, 33.0, 27.0], array_map(static fn (Lot $l): float => $l->units, $lots));
        self::assertSame(16, $lots[1]->from - $lots[0]->from);
    }

    public function testNothingIsCutAfterTheBedIsCleared(): void
    {
        self::assertCount(1, self::lots('lettuce-leaf', '2026-05-20', '2026-06-01', 16.0, 6_250_000));
    }

    /** Asparagus (common practice): two weeks in its first season, four in the second, then six to eight. */
    public function testAPerennialGivesByItsAgeInItsWeeksOfEveryYear(): void
    {
        $lots = self::lots('asparagus', '2026-04-25', '2030-06-13', 6.0, 25_000_000);
        $weeks = $units = [];
        foreach ($lots as $lot) {
            $first = Day::parse(Day::of($lot->from)->year().'-04-25');
            $weeks[$first->year()] = (int) ceil(($lot->from + 1 - $first->number) / 7);
            $units[$first->year()] = ($units[$first->year()] ?? 0.0) + $lot->units;
        }

        self::assertSame([2026 => 2, 2027 => 4, 2028 => 7, 2029 => 7, 2030 => 7], $weeks);
        self::assertEqualsWithDelta(2 * 150, $units[2029] + $units[2030], 1.0);
        self::assertLessThan($units[2027], 1.5 * $units[2026]);
    }

    /** Half the width of ten metres is five metres of bed. */
    public function testAShareOfTheWidthGivesThatShareOfTheYield(): void
    {
        self::assertSame(46.0, self::lots('lettuce-head', '2026-05-20', '2026-05-28', 9.3, 10_000_000, 0.5)[0]->units);
    }

    /** @return list<Lot> */
    private static function lots(string $item, string $ready, string $clear, float $perMetre, int $micrometres,
        float $width = 1.0): array
    {
        $start = Day::parse('2026-03-10');

        return Lot::of(new Planting('p', $item, Method::Sown, PlaceType::Field, 'compost-mulch', $start, $start, $start,
            Day::parse($ready), Day::parse($clear), $perMetre, [Stretch::of('A1', 0, $micrometres, $width)], Standing::Growing, false),
            Book::crops()->get($item));
    }
}
