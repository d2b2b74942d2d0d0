<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Years;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Years\BlockShift;
use JollyFurrow\Years\NextBlocks;
use PHPUnit\Framework\TestCase;

/**
 * Three blocks of one bed of 20 m: cabbages in A, lettuce in B, nothing in C this year; last year cabbages stood in B. Three years
 * between crops of a family.
 */
final class NextBlocksTest extends TestCase
{
    public function testTurnsComparedByWhatComesBackTooSoon(): void
    {
        $shifts = NextBlocks::of(self::garden(Day::parse('2025-09-01')), Book::crops());

        self::assertSame([[2, 0.0], [1, 16.0], [0, 24.0]], array_map(static fn (BlockShift $s): array => [$s->by, $s->soon], $shifts),
            'two on: radishes of A to C, lettuce of B to A; one on: radishes come to B; not turned: both where they stood');
        self::assertSame(['C' => [['family' => 'Cabbage', 'metres' => 16.0, 'soon' => 0.0]], 'A' => [['family' => 'Daisy', 'metres' => 8.0,
            'soon' => 0.0]]], array_replace(['C' => [], 'A' => []], $shifts[0]->blocks));
    }

    /** Cleared in autumn 2024 and planted in spring 2027: two years and a half, too soon for three. Cleared in 2023 it is time. */
    public function testTheGapIsCountedInYearsBetween(): void
    {
        self::assertSame(16.0, self::turned(NextBlocks::of(self::garden(Day::parse('2024-10-01')), Book::crops()), 1));
        self::assertSame(0.0, self::turned(NextBlocks::of(self::garden(Day::parse('2023-10-01')), Book::crops()), 1));
    }

    /** @param list<BlockShift> $shifts */
    private static function turned(array $shifts, int $by): float
    {
        return array_sum(array_map(static fn (BlockShift $s): float => $s->by === $by ? $s->soon : 0.0, $shifts));
    }

    private static function garden(Day $cleared): Garden
    {
        $g = LittleGarden::on('2026-06-01', [LittleGarden::radish('2026-04-20', 'A1', 0, 16_000_000), LittleGarden::lettuce('2026-04-01',
            'B1', 0,
            8_000_000)]);
        $beds = array_map(static fn (string $block, int $n): Bed => new Bed($block.'1', $block, $n, Length::fromMetres(20),
            Length::fromCentimetres(75), Length::fromCentimetres(45), PlaceType::Field), ['A', 'B', 'C'], [0, 1, 2]);

        return new Garden($g->name, $g->today, $g->place, $g->settings, ['A', 'B', 'C'], $beds, [new PastCrop(Stretch::of('B1', 0,
            20_000_000),
            'kale', $cleared)], $g->outlets, $g->products, [], $g->plantings);
    }
}
