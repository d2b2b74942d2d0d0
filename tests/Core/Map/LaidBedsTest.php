<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Map;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\LaidBeds;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\TestCase;

/** Three beds of 20 m by 75 cm with paths of 45 cm in block A, one in block T. */
final class LaidBedsTest extends TestCase
{
    public function testBedsLieBesideEachOtherWithTheirPaths(): void
    {
        $laid = self::laid(new GroundMap(['A' => new BlockLay(100.0, 50.0, 0.0)]));

        self::assertEqualsWithDelta([[101.2, 50.0], [101.2, 70.0], [101.95, 70.0], [101.95, 50.0]], $laid->beds['A2']->corners(), 1e-9);
        self::assertEqualsWithDelta([102.775, 50.0], $laid->beds['A3']->head(), 1e-9);
        self::assertEqualsWithDelta([100.0, 50.0, 103.15, 70.0], self::bounds($laid->outlines['A']), 1e-9, 'three widths and two paths');
    }

    /** A quarter from the head, the right half of the bed. */
    public function testAPlantingLiesOnItsPieceOfTheBed(): void
    {
        $laid = self::laid(new GroundMap(['A' => new BlockLay(0.0, 0.0, 90.0)]));

        self::assertEqualsWithDelta([[5.0, -0.375], [10.0, -0.375], [10.0, -0.75], [5.0, -0.75]], $laid->beds['A1']->piece(
            Stretch::of('A1', 5_000_000, 10_000_000, 0.5), 0.5), 1e-9);
    }

    /** What nobody placed lies in rows below what is placed, and nothing lies over anything else. */
    public function testBlocksNobodyPlaced(): void
    {
        $laid = self::laid(new GroundMap(['T' => new BlockLay(0.0, 0.0, 180.0)]));
        [, , , $north] = self::bounds($laid->outlines['A']);
        self::assertLessThanOrEqual(-20.0, $north, 'below the tunnel, which runs 20 m southwards');
        $none = self::laid(new GroundMap());
        self::assertGreaterThan(self::bounds($none->outlines['A'])[2], self::bounds($none->outlines['T'])[0], 'side by side');
    }

    public function testTheMapReachesAsFarAsItsMarks(): void
    {
        $map = new GroundMap(['A' => new BlockLay(0.0, 0.0, 0.0), 'T' => new BlockLay(10.0, 0.0, 0.0)], [new GroundMark(MarkKind::Water,
            'Well',
            [[-5.0, 40.0]])]);
        self::assertEqualsWithDelta([-5.0, 0.0, 10.75, 40.0], self::laid($map)->bounds($map->marks), 1e-9);
    }

    public function testABlockUnderAnotherNameKeepsItsPlace(): void
    {
        $map = (new GroundMap(['A' => new BlockLay(1.0, 2.0, 3.0)]))->renaming('A', 'North');
        self::assertSame(['North'], array_keys($map->blocks));
        self::assertFalse($map->withoutBlock('North')->isSaid());
    }

    private static function laid(GroundMap $map): LaidBeds
    {
        $garden = LittleGarden::on('2026-03-02');

        return LaidBeds::of($garden->blocks, $garden->beds, $map);
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return array{float, float, float, float} west, south, east, north
     */
    private static function bounds(array $points): array
    {
        $x = array_column($points, 0);
        $y = array_column($points, 1);

        return [] === $x || [] === $y ? [0.0, 0.0, 0.0, 0.0] : [min($x), min($y), max($x), max($y)];
    }
}
