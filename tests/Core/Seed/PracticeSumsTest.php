<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Seed;

use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Sums growers do before sowing and planting. Common practice, no source. */
final class PracticeSumsTest extends TestCase
{
    /** Rows, inches in the row, feet of bed: seeds by the seeder, plugs of squash, pieces of potato, dense carrots. */
    #[TestWith([5, 1.5, 50.0, 2000])]
    #[TestWith([1, 30.0, 100.0, 40])]
    #[TestWith([1, 12.0, 100.0, 100])]
    #[TestWith([1, 15.0, 100.0, 80])]
    #[TestWith([6, 1.5, 100.0, 4800])]
    public function testSpots(int $rows, float $inches, float $feet, int $spots): void
    {
        self::assertSame($spots, Spacing::of($rows, Us::inches($inches), Us::feet($feet))->spots());
    }

    /** Six rows at 7.5 in on 48 in leave 5.25 in at each edge, four at 7.5 on 30 in 3.75; one row stands in the middle. */
    public function testRowsFromTheEdge(): void
    {
        $across = static fn (int $rows, float $gap, float $width): array => array_map(static fn (Length $l): float => round($l->metres()
            / 0.0254, 2), Spacing::of($rows, Us::inches(1), Us::feet(10), Us::inches($gap))->rowsAcross(Us::inches($width)));

        self::assertSame([5.25, 12.75, 20.25, 27.75, 35.25, 42.75], $across(6, 7.5, 48));
        self::assertSame([3.75, 11.25, 18.75, 26.25], $across(4, 7.5, 30));
        self::assertSame([15.0], $across(1, 0, 30));
    }

    /** Pieces of 55 g: 5.5 and 4.4 kg; two plants a plug: 80 seeds. */
    public function testWeightsAndSeedsOfThose(): void
    {
        $kilograms = static fn (float $inches): float => Spacing::of(1, Us::inches($inches), Us::feet(100))->spots() * 55 / 1000;

        self::assertEqualsWithDelta([5.5, 4.4], [$kilograms(12.0), $kilograms(15.0)], 1e-9);
        self::assertSame(80, 2 * Spacing::of(1, Us::inches(30.0), Us::feet(100))->spots());
    }

    /**
     * Spots of 2 m by 61 cm (24 in): 8,202 a hectare, two to three seeds each. Carrots 45 by 7.5 cm: 296,300 plants; 4.5 kg
     * an acre is 31 times that.
     */
    public function testStandsOfAHectare(): void
    {
        $perHectare = static fn (Length $rows, Length $inRow): float => 10_000 / ($rows->metres() * $inRow->metres());
        $spots = $perHectare(Length::fromMetres(2), Us::inches(24));
        $carrots = $perHectare(Length::fromCentimetres(45), Length::fromCentimetres(7.5));
        $sown = 4500 / 1.2 * 1000 / Us::acres(1)->squareMetres * 10_000;

        self::assertEqualsWithDelta([8202.0, 16_404.0, 24_606.0], [$spots, 2 * $spots, 3 * $spots], 1.0);
        self::assertEqualsWithDelta(296_300, $carrots, 5.0);
        self::assertSame(31.0, round($sown / $carrots));
    }
}
