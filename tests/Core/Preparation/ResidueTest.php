<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Preparation;

use JollyFurrow\Measure\Length;
use JollyFurrow\Preparation\Residue;
use JollyFurrow\Preparation\ResidueAmount;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ResidueTest extends TestCase
{
    /** Light below 2.5 t/ha, heavy above 5. */
    #[TestWith([2.49, ResidueAmount::Light])]
    #[TestWith([2.5, ResidueAmount::Middling])]
    #[TestWith([5.0, ResidueAmount::Middling])]
    #[TestWith([5.01, ResidueAmount::Heavy])]
    public function testHowMuchIsMuch(float $tonnes, ResidueAmount $amount): void
    {
        self::assertSame($amount, Residue::amount($tonnes));
    }

    /**
     * From memory, believed to be Managing Cover Crops Profitably (SARE): legumes 2,000 lb an acre at 6 inches, small grains
     * at 8, 150 lb more for each inch, times the ground covered. 1 lb an acre is 1.1209 kg/ha.
     */
    #[TestWith(['vetch', 6, 1.0, 2000])]
    #[TestWith(['vetch', 18, 1.0, 3800])]
    #[TestWith(['vetch', 18, 0.6, 2280])]
    #[TestWith(['rye', 8, 1.0, 2000])]
    #[TestWith(['rye', 36, 1.0, 6200])]
    #[TestWith(['rye', 4, 1.0, 1000])]
    public function testDryMatterByHeight(string $crop, int $inches, float $cover, int $pounds): void
    {
        self::assertEqualsWithDelta($pounds * 1.12085, self::of($crop, $inches * 2.54, $cover)->perHectare->value, 12.0);
    }

    /** Common practice: about three weeks after a middling stand, longer after a heavy one, in spring and in the cold. */
    public function testHeavyResidueAndColdWantLonger(): void
    {
        $days = static fn (float $tonnes, string $planting): int => Residue::restDays($tonnes, Day::parse($planting), 46.9);

        self::assertSame([14, 21, 28], [$days(1.5, '2026-07-10'), $days(4.0, '2026-07-10'), $days(6.5, '2026-07-10')]);
        self::assertSame([28, 35], [$days(4.0, '2026-04-20'), $days(4.0, '2026-12-10')]);
        self::assertSame([1, 2, 3, 4], [Residue::passes(1.5, false), Residue::passes(4.0, false), Residue::passes(6.5, false),
            Residue::passes(6.5, true)]);
    }

    public function testTheBedsShareIsByItsArea(): void
    {
        $residue = self::of('rye', 91.44, 1.0);

        self::assertEqualsWithDelta($residue->tonnesPerHectare() * 1000 * 20 * LittleGarden::on('2026-05-01')->beds[0]->width->metres() / 10000, $residue->dry->value, 1e-6);
        self::assertSame(ResidueAmount::Heavy, Residue::amount($residue->tonnesPerHectare()));
    }

    private static function of(string $crop, float $cm, float $cover): Residue
    {
        return Residue::byEye(Book::crops()->get($crop), Length::fromMetres($cm / 100), $cover, LittleGarden::on('2026-05-01')->beds[0],
            Length::fromMetres(20));
    }
}
