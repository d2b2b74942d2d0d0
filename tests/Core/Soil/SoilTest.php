<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Soil;

use JollyFurrow\Measure\Mass;
use JollyFurrow\Soil\Compost;
use JollyFurrow\Soil\Fertiliser;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Common practice, no source, for every figure here but the molar shares. */
final class SoilTest extends TestCase
{
    #[TestWith([25.0, 46.0, 54.3])]
    #[TestWith([12.0, 16.0, 75.0])]
    #[TestWith([30.0, 60.0, 50.0])]
    public function testProductForANutrient(float $kilograms, float $percent, float $product): void
    {
        self::assertEqualsWithDelta($product, Fertiliser::productFor(Mass::fromGrams(1000 * $kilograms), $percent)->kilograms(), 0.05);
    }

    /** 150 lb of nitrogen on an acre are 3.44 lb on 1,000 square feet. */
    public function testRatePerAcreOnAThousandSquareFeet(): void
    {
        $gramsPerSquareMetre = Us::pounds(150)->grams / Us::acres(1)->squareMetres;

        self::assertEqualsWithDelta(3.44, Mass::fromGrams($gramsPerSquareMetre * Us::squareFeet(1000)->squareMetres)->pounds(),
            0.005);
    }

    /** 1 in of compost on 100 sq ft is 8.33 cu ft. */
    public function testCompostByDepth(): void
    {
        $compost = Compost::over(Us::squareFeet(100), Us::inches(1));

        self::assertEqualsWithDelta(100 / 12, $compost->volume->cubicFeet(), 1e-9);
    }

    /** From standard atomic masses (P 30.974, K 39.098, O 15.999): 2 P / P2O5 and 2 K / K2O. */
    public function testElementsInOxides(): void
    {
        self::assertEqualsWithDelta(2 * 30.974 / (2 * 30.974 + 5 * 15.999), Nutrient::P_IN_P2O5, 1e-4);
        self::assertEqualsWithDelta(2 * 39.098 / (2 * 39.098 + 15.999), Nutrient::K_IN_K2O, 1e-4);
    }

    public function testAnImpossibleAnalysisIsRefused(): void
    {
        $this->expectException(\DomainException::class);
        Fertiliser::productFor(Mass::fromGrams(1000 * 1), 0.0);
    }

    #[TestWith([437.0, 440.0])]
    #[TestWith([2_812.0, 2_800.0])]
    #[TestWith([12_300.0, 12_500.0])]
    public function testIsRoundedToWhatCanBeWeighed(float $grams, float $weighed): void
    {
        self::assertSame($weighed, Mass::fromGrams($grams)->weighable()->grams);
    }
}
