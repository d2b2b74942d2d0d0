<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Supply;

use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class TrueSupplyTest extends TestCase
{
    public function testWhatIsToBeSownTodayIsStillAsPlannedAndYesterdaysIsReckonedFromToday(): void
    {
        $radish = LittleGarden::radish('2026-04-20');
        $on = static fn (string $today): ?Planting => (new TrueSupply(LittleGarden::timed($today, [$radish]), Book::crops()))->of($radish);

        self::assertSame($radish, $on('2026-04-20'));
        self::assertSame('2026-04-21', $on('2026-04-21')?->sow->iso());
        self::assertTrue($radish->ready->isBefore($on('2026-05-10')->ready ?? $radish->ready));
        self::assertNull($on('2026-11-10'), 'it would not ripen any more');
    }

    /** By catalogue days the planting is later by as much as it is late. */
    public function testByCatalogueDaysItIsLaterByAsMuch(): void
    {
        $radish = LittleGarden::radish('2026-04-20');
        $true = (new TrueSupply(LittleGarden::on('2026-05-12', [$radish]), Book::crops()))->of($radish);

        self::assertSame([22, 22], [$true?->ready->since($radish->ready), $true?->sow->since($radish->sow)]);
    }

    public function testWhatStandsIsAsItIs(): void
    {
        $radish = LittleGarden::radish('2026-04-20', 'A1', 0, 5_000_000, Standing::Growing);

        self::assertSame($radish, (new TrueSupply(LittleGarden::timed('2026-11-10', [$radish]), Book::crops()))->of($radish));
    }

    /** Sweet corn nobody sowed by the end of July gives no ear; a month before it still does, and later. */
    public function testALateCornIsOutOfTheSupplyAtOnce(): void
    {
        $corn = new Planting('corn@2026-05-20#1', 'corn', Method::Sown, PlaceType::Field, 'compost-mulch', Day::parse('2026-05-20'),
            Day::parse('2026-05-20'), Day::parse('2026-05-15'), Day::parse('2026-08-14'), Day::parse('2026-08-20'), 9.0,
            [Stretch::of('A1', 0, 10_000_000)], Standing::Planned, false);
        $lots = static fn (string $today): array => (new TrueSupply(LittleGarden::timed($today, [$corn]), Book::crops()))->lots($corn);

        self::assertEquals(Lot::of($corn, Book::crops()->get('corn')), $lots('2026-05-20'));
        self::assertSame([], $lots('2026-07-30'));
        self::assertGreaterThan($corn->ready->number, $lots('2026-06-05')[0]->from);
        self::assertSame(90.0, $lots('2026-06-05')[0]->units);
    }
}
