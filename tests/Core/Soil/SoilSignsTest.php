<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Soil;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Lime\SoilSign;
use JollyFurrow\Lime\SoilSignKind;
use JollyFurrow\Lime\SoilSigns;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** What the soil asks for, block by block. */
final class SoilSignsTest extends TestCase
{
    public function testNothingIsSaidWithoutATest(): void
    {
        self::assertSame([], self::signs(LittleGarden::on('2026-03-02')));
    }

    /** 6.5 is wanted: three beds of 15 m2 at 5.5 take 10.5 kg each on loam, 31.5 in all, in two goes. */
    public function testAnAcidBlockIsOneSign(): void
    {
        $signs = self::signs(LittleGarden::on('2026-03-02')->onSoil(new SoilBook([new SoilTest('t', '', 'A', Day::parse('2025-10-01'),
            ph: 5.5)])));

        self::assertSame([[SoilSignKind::Acid, 'A', ['A1', 'A2', 'A3'], 31.5, 2]], array_map(static fn (SoilSign $s): array => [$s->kind,
            $s->block, $s->beds, round($s->kg, 6), $s->lime?->goes], $signs));
    }

    /** 1.5 dS/m costs radishes 3.9 %, not told; 2.0 10.4 %; where nothing is planned, as most crops. */
    public function testSaltByWhatIsPlanned(): void
    {
        $told = static fn (float $salt, Planting ...$plantings): array => array_map(static fn (SoilSign $s): array => [$s->beds,
            $s->crop?->key,
            round($s->loss, 3)], self::signs(LittleGarden::on('2026-03-02',
                array_values($plantings))->onSoil(new SoilBook([new SoilTest('t',
                    'A1', '', Day::parse('2025-10-01'), salt: $salt, saltBy: SaltWay::Paste)]))));

        self::assertSame([], $told(1.5, LittleGarden::radish('2026-04-01')));
        self::assertSame([[['A1'], 'radish', 0.104]], $told(2.0, LittleGarden::radish('2026-04-01')));
        self::assertSame([[['A1'], null, 0.12]], $told(2.5));
    }

    public function testPhosphorusAPanAndAnOldTest(): void
    {
        $kinds = static fn (SoilTest $test): array => array_map(static fn (SoilSign $s): SoilSignKind => $s->kind,
            self::signs(LittleGarden::on('2026-03-02')->onSoil(new SoilBook([$test]))));

        self::assertSame([SoilSignKind::MuchPhosphorus], $kinds(new SoilTest('t', 'A1', '', Day::parse('2025-10-01'), p: 46.0,
            pBy: Extract::Olsen)));
        self::assertSame([SoilSignKind::OldTest], $kinds(new SoilTest('t', 'A1', '', Day::parse('2021-10-01'), p: 20.0,
            pBy: Extract::Olsen)));
        self::assertSame([SoilSignKind::HardPan], $kinds(new SoilTest('t', 'A1', '', Day::parse('2025-10-01'),
            pan: Length::fromCentimetres(34))));
        self::assertSame([], $kinds(new SoilTest('t', 'A1', '', Day::parse('2025-10-01'), pan: Length::fromCentimetres(35))));
    }

    /** @return list<SoilSign> */
    private static function signs(Garden $garden): array
    {
        return SoilSigns::of($garden, Book::crops());
    }
}
