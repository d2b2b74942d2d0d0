<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Crop;

use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\TestCase;

final class SpacingTest extends TestCase
{
    /** Common practice, no source: a 100 ft bed of carrots, six rows at 1.5 in, is 4,800 seeds. */
    public function testCarrotSeedsInAHundredFeet(): void
    {
        self::assertSame(4800, Spacing::of(6, Us::inches(1.5), Us::feet(100))->spots());
    }

    /** Common practice, no source: a 50 ft bed of beets, six rows of clusters at 7.5 in, is 480 clusters. */
    public function testBeetClustersInFiftyFeet(): void
    {
        self::assertSame(480, Spacing::of(6, Us::inches(7.5), Us::feet(50))->spots());
    }

    /** Common practice, no source: five rows at 1.5 in in a 50 ft bed are 2,000 seeds. */
    public function testBeetSeedsInFiftyFeet(): void
    {
        self::assertSame(2000, Spacing::of(5, Us::inches(1.5), Us::feet(50))->spots());
    }

    /** Common practice, no source: plants 8 in apart in rows 30 in apart are 26,136 an acre (43,560 sq ft). */
    public function testPlantsToTheAcre(): void
    {
        self::assertEqualsWithDelta(26_136, Us::acres(1)->squareMetres / Us::inches(30)->times(Us::inches(8))->squareMetres, 1e-6);
    }

    public function testRowsFollowTheWidthOfTheBed(): void
    {
        $stand = Book::crops()->get('carrot')->stand;
        $rows = static fn (float $cm): int => Spacing::inBed($stand, Length::fromCentimetres($cm), Length::fromMetres(10))->rows;

        self::assertSame([6, 8, 11, 1], [$rows(75), $rows(105), $rows(140), $rows(20)]);
    }

    public function testACropOfOneRowStaysOneRow(): void
    {
        $stand = Book::crops()->get('tomato')->stand;

        $rows = static fn (float $cm): int => Spacing::inBed($stand, Length::fromCentimetres($cm), Length::fromMetres(10))->rows;
        self::assertSame([1, 1, 1], [$rows(75), $rows(90), $rows(135)]);
        self::assertSame(22, Spacing::inBed($stand, Length::fromCentimetres(75), Length::fromMetres(10))->spots());
    }

    /** A bed 122 cm wide holds more rows of carrots than one of 75 cm, and gives as much more; a row of tomatoes stays a row. */
    public function testYieldFollowsTheRowsABedHolds(): void
    {
        $carrot = Book::crops()->get('carrot');
        $gap = 600 / ($carrot->stand->rows - 1);
        $rows = (int) floor((1220 - 150) / $gap) + 1;

        self::assertGreaterThan($carrot->stand->rows, $rows);
        self::assertEqualsWithDelta($carrot->produce->perMetre * $rows / $carrot->stand->rows,
            $carrot->perMetreOn(Length::fromCentimetres(122)), 1e-9);
        self::assertSame($carrot->produce->perMetre, $carrot->perMetreOn(Length::fromCentimetres(75)));
        $tomato = Book::crops()->get('tomato');
        self::assertSame($tomato->produce->perMetre, $tomato->perMetreOn(Length::fromCentimetres(122)));
    }
}
