<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\FamilyStay;
use JollyFurrow\Beds\FamilyYears;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** A1 had kale in 2024, has radishes twice this year, and lettuce is planned there. */
final class FamilyYearsTest extends TestCase
{
    public function testByBedAndYear(): void
    {
        $years = FamilyYears::of(self::garden(), Book::crops());
        $a1 = array_map(static fn (array $stays): array => array_map(static fn (FamilyStay $s): array => [$s->family, $s->crops, $s->metres,
            $s->isPlanned, $s->isTooSoon], array_values($stays)), $years->stays['A1']);

        self::assertSame([2023, 2024, 2025, 2026, 2027], $years->years);
        self::assertSame([2023 => [], 2024 => [['Cabbage', ['Kale'], 20.0, false, false]], 2025 => [], 2026 => [['Cabbage', ['Radish'],
            10.0,
            false, true], ['Daisy', ['Head lettuce'], 4.0, true, false]], 2027 => []], $a1);
        self::assertSame(['A1', 'A2', 'A3', 'T1'], array_keys($years->stays));
    }

    public function testMetresOfEachFamily(): void
    {
        self::assertSame(['Cabbage' => [2024 => 20.0, 2026 => 10.0], 'Daisy' => [2026 => 4.0]], FamilyYears::of(self::garden(),
            Book::crops())->metres());
    }

    private static function garden(): Garden
    {
        $again = LittleGarden::radish('2026-06-01', number: 2)->but(remarks: [Message::of(Rule::FamilyTooSoon)]);
        $g = LittleGarden::on('2026-05-10', [LittleGarden::radish('2026-03-20', standing: Standing::Growing), $again,
            LittleGarden::lettuce('2026-06-20', 'A1', 0, 4_000_000)]);

        return new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [new PastCrop(Stretch::of('A1', 0,
            20_000_000),
            'kale', Day::parse('2024-10-20'))], $g->outlets, $g->products, [], $g->plantings);
    }
}
