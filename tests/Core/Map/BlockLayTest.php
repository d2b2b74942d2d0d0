<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Map;

use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\Projection;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Plane geometry worked out by hand; degrees by the mean radius of the earth. */
final class BlockLayTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, float}> bearing, along, right; east and north of the corner (10, 20) */
    public static function places(): iterable
    {
        yield 'northwards' => [0.0, 25.0, 1.0, 11.0, 45.0];
        yield 'eastwards the next bed lies south' => [90.0, 25.0, 1.0, 35.0, 19.0];
        yield 'southwards the next bed lies west' => [180.0, 25.0, 1.0, 9.0, -5.0];
        yield 'a 3-4-5 triangle' => [36.869898, 25.0, 0.0, 25.0, 40.0];
    }

    #[DataProvider('places')]
    public function testAPlaceInABlock(float $bearing, float $along, float $right, float $east, float $north): void
    {
        [$x, $y] = (new BlockLay(10.0, 20.0, $bearing))->at($along, $right);

        self::assertEqualsWithDelta([$east, $north], [$x, $y], 1e-5);
    }

    /** Beds run along the longest edge and lie inside, whichever way round the corners are given. */
    public function testAnOutlineSaysHowItsBedsRun(): void
    {
        $round = [[0.0, 0.0], [12.0, 0.0], [12.0, 30.0], [0.0, 30.0]];
        foreach ([$round, array_reverse($round)] as $outline) {
            $lay = BlockLay::along($outline);
            [$east, $north] = $lay->at(15.0, 6.0);
            self::assertContains((int) round($lay->bearing), [0, 180]);
            self::assertEqualsWithDelta([6.0, 15.0], [$east, $north], 1e-6, 'the middle of the block');
        }
    }

    public function testAreaByTheShoelaceFormula(): void
    {
        self::assertSame(6.0, BlockLay::area([[0.0, 0.0], [4.0, 0.0], [0.0, 3.0]]), 'half of three times four, against the sun');
        self::assertSame(-6.0, BlockLay::area([[0.0, 3.0], [4.0, 0.0], [0.0, 0.0]]));
    }

    /**
     * A minute of latitude is about a nautical mile of 1852 m (its old definition); a degree of longitude at 60 degrees is half of
     * one at the equator.
     */
    public function testDegreesAsMetres(): void
    {
        self::assertEqualsWithDelta(1852.0, (new Projection(8.0, 47.0))->metres(8.0, 47.0 + 1 / 60)[1], 2.0);
        self::assertEqualsWithDelta((new Projection(8.0, 0.0))->metres(9.0, 0.0)[0] / 2, (new Projection(8.0, 60.0))->metres(9.0, 60.0)[0],
            0.01);
        self::assertEqualsWithDelta([8.001, 47.002], (new Projection(8.0, 47.0))->degrees(...(new Projection(8.0, 47.0))->metres(8.001,
            47.002)), 1e-9);
    }
}
