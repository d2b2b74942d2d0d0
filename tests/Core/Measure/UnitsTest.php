<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Measure;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Units;
use JollyFurrow\Measure\Volume;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\TestCase;

/** The international yard and pound (1959): 1 ft = 0.3048 m, 1 lb = 453.59237 g; 1 acre = 43,560 sq ft. */
final class UnitsTest extends TestCase
{
    public function testDefinitions(): void
    {
        self::assertEqualsWithDelta(43_560, Us::acres(1)->squareFeet(), 1e-6);
        self::assertEqualsWithDelta(1, Mass::fromGrams(453.59237)->pounds(), 1e-12);
    }

    public function testIsWrittenShort(): void
    {
        self::assertSame(['4.69 m²', '50.5 sq ft'], [Units::Metric->area(Area::fromSquareMetres(4.6875)),
            Units::UsCustomary->area(Area::fromSquareMetres(4.6875))]);
        self::assertSame(['94 l', '3.3 cu ft'], [Units::Metric->volume(Volume::fromLitres(93.75)),
            Units::UsCustomary->volume(Volume::fromLitres(93.75))]);
        self::assertSame(['850 g', '1.2 kg', '1.2 lb', '8 oz'], [Units::Metric->mass(Mass::fromGrams(850)),
            Units::Metric->mass(Mass::fromGrams(1200)), Units::UsCustomary->mass(Us::pounds(1.2)),
            Units::UsCustomary->mass(Us::pounds(0.5))]);
    }
}
