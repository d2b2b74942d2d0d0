<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Years;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Years\BedStay;
use JollyFurrow\Years\BedYear;
use JollyFurrow\Years\BedYears;
use PHPUnit\Framework\TestCase;

/** A1: peas in 2024, radishes this spring and again later, a test of its block, one of another bed, and what was brought in. */
final class BedYearsTest extends TestCase
{
    public function testTheLatestYearFirst(): void
    {
        $years = BedYears::of(self::garden(), Book::crops(), self::garden()->beds[0]);

        self::assertSame([2026, 2025, 2024], array_map(static fn (BedYear $y): int => $y->year, $years));
        self::assertSame([['radish', 27.0], ['radish', null]], array_map(static fn (BedStay $s): array => [$s->item, $s->units],
            $years[0]->stays),
            'in the order they came; only the first gave something here');
        self::assertSame(['pea', null], [$years[2]->stays[0]->item, $years[2]->stays[0]->planting]);
    }

    /** A test of the block counts for its bed; one of another bed does not. Notes go with the planting. */
    public function testTestsAndNotes(): void
    {
        $years = BedYears::of(self::garden(), Book::crops(), self::garden()->beds[0]);

        self::assertSame(['block'], array_map(static fn (SoilTest $t): string => $t->key, $years[1]->tests));
        self::assertSame(['came up well'], array_map(static fn (FieldNote $n): string => $n->words, $years[0]->notes));
        $second = BedYears::of(self::garden(), Book::crops(), self::garden()->beds[1]);
        self::assertSame(['block', 'other'], array_map(static fn (SoilTest $t): string => $t->key, $second[0]->tests));
        self::assertSame([], array_filter($second, static fn (BedYear $y): bool => $y->isEmpty()));
    }

    private static function garden(): Garden
    {
        $spring = LittleGarden::radish('2026-03-20', standing: Standing::Growing);
        $g = LittleGarden::on('2026-05-10', [LittleGarden::radish('2026-06-01', number: 2), $spring]);
        $lot = static fn (string $key, string $bed, int $hundredths): HarvestLot => new HarvestLot($key, Day::parse('2026-04-22'), 'radish',
            'radish', $spring->key, $bed, Grade::First, $hundredths);
        $test = static fn (string $key, string $bed, string $block): SoilTest => new SoilTest($key, $bed, $block, Day::parse('2025-10-01'),
            ph: 6.4);

        return (new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [new PastCrop(Stretch::of('A1', 0,
            20_000_000),
            'pea', Day::parse('2024-08-01'))], $g->outlets, $g->products, [], $g->plantings))
            ->storing(new StoreBook([], [$lot('a', 'A1', 1500), $lot('b', 'A1', 1200), $lot('c', 'A2', 900)]))
            ->onSoil(new SoilBook([$test('block', '', 'A'), $test('other', 'A2', '')]))
            ->noting([new FieldNote($spring->key, Happening::Emerged, Day::parse('2026-04-01'), null, null, null, 'came up well')]);
    }
}
