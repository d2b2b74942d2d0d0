<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Feed;

use JollyFurrow\Feed\SoilBalance;
use JollyFurrow\Feed\YearBalance;
use JollyFurrow\Measure\Area;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Feeding;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** In, off with the harvest, and left, year by year. */
final class SoilBalanceTest extends TestCase
{
    /**
     * 15 kg of 4-2 on 15 m2 in 2025: 40 and 20 g a square metre. Radishes on a quarter of the bed take a quarter of 75 kg a
     * hectare of each in 2026: 1.875 g.
     */
    public function testTwoYears(): void
    {
        $spread = new Spread('s', 'A1', Day::parse('2025-04-01'), 'x', 15.0, Nutrients::of(9.0, 4.0, 2.0), Release::Compost, Heat::NoManure,
            Area::fromSquareMetres(15.0));
        $radish = LittleGarden::radish('2026-04-01', standing: Standing::Growing);
        $years = static fn (string $today): array => array_map(static fn (YearBalance $y): array => [$y->year, round($y->in->p2o5, 6),
            round($y->out->p2o5, 6), round($y->left->p2o5, 6), round($y->left->k2o, 6), $y->in->n], SoilBalance::of(LittleGarden::on($today,
                [$radish])->onSoil(new SoilBook(spreads: [$spread])), Book::crops(), Feeding::needs(), LittleGarden::on($today)->beds[0]));

        self::assertSame([[2025, 40.0, 0.0, 40.0, 20.0, 0.0], [2026, 0.0, 1.875, 38.125, 18.125, 0.0]], $years('2026-06-01'));
        self::assertSame([2026, 0.0, 0.0, 40.0, 20.0, 0.0], $years('2026-04-20')[1], 'nothing is off before it is ready');
    }
}
