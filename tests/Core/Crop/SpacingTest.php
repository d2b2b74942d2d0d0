<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Crop;

use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\TestCase;

final class SpacingTest extends TestCase
{
    /** Common practice, no source: 30 in x 8 in = 26,136 plants per acre (43,560 sq ft / (2.5 x 0.6667 sq ft)). */
    public function testPlantsPerAcre(): void
    {
        $plants = Spacing::plantsPerArea(Area::fromAcres(1)->squareMetres, Length::fromMillimetres(762), Length::fromMetres(0.2032));

        self::assertEqualsWithDelta(26136, $plants, 26);
    }

    /** Common practice, no source: a 100 ft bed of carrots, six rows at 1.5 in, is 4,800 seeds. */
    public function testCarrotSeedsInAHundredFeet(): void
    {
        self::assertEqualsWithDelta(4800, Spacing::of(6, Length::fromInches(1.5), Length::fromFeet(100))->spots(), 12);
    }

    /** Common practice, no source: a 50 ft bed of beets, six rows of clusters at 7.5 in, is 480 clusters. */
    public function testBeetClustersInFiftyFeet(): void
    {
        self::assertEqualsWithDelta(480, Spacing::of(6, Length::fromInches(7.5), Length::fromFeet(50))->spots(), 6);
    }

    /** Common practice, no source: five rows at 1.5 in in a 50 ft bed are 2,000 seeds. */
    public function testBeetSeedsInFiftyFeet(): void
    {
        self::assertEqualsWithDelta(2000, Spacing::of(5, Length::fromInches(1.5), Length::fromFeet(50))->spots(), 5);
    }

    public function testRowsFollowTheWidthOfTheBed(): void
    {
        $stand = Book::crops()->get('carrot')->stand;
        $rows = static fn (float $cm): int => Spacing::inBed($stand, Length::fromCentimetres($cm), Length::fromMetres(10))->rows;

        self::assertSame([5, 7, 9, 1], [$rows(75), $rows(105), $rows(140), $rows(20)]);
    }

    public function testACropOfOneRowStaysOneRowUntilTwoFit(): void
    {
        $stand = Book::crops()->get('tomato')->stand;

        $rows = static fn (float $cm): int => Spacing::inBed($stand, Length::fromCentimetres($cm), Length::fromMetres(10))->rows;
        self::assertSame([1, 1, 1, 2], [$rows(75), $rows(90), $rows(134), $rows(135)], 'the edge is left free at both sides');
        self::assertSame(22, Spacing::inBed($stand, Length::fromCentimetres(75), Length::fromMetres(10))->spots());
    }
}
