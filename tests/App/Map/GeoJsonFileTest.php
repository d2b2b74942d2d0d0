<?php

declare(strict_types=1);

namespace App\Tests\Map;

use App\Map\GeoJsonFile;
use App\Map\UnusableMap;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** GeoJSON by RFC 7946: longitude first, outer rings against the sun and closed. */
final class GeoJsonFileTest extends TestCase
{
    /** Out and in again the blocks lie where they lay, to the centimetre, and the marks are there. */
    public function testOutAndInAgain(): void
    {
        $map = new GroundMap(['A' => new BlockLay(3.0, 4.0, 0.0), 'T' => new BlockLay(30.0, 4.0, 0.0)], [new GroundMark(MarkKind::Path,
            'Track',
            [[0.0, 0.0], [40.0, 0.0]]), new GroundMark(MarkKind::Water, 'Well', [[1.0, 1.0]]), new GroundMark(MarkKind::Building, 'Shed',
                [[50.0, 0.0], [60.0, 0.0], [60.0, 8.0]])], [8.25, 47.05]);
        $garden = LittleGarden::on('2026-03-02');
        $again = GeoJsonFile::read(GeoJsonFile::write($garden->set($garden->settings->mapped($map))), $garden);

        self::assertEqualsWithDelta([8.25, 47.05], $again->corner, 1e-6);
        self::assertEqualsWithDelta(27.0, abs($again->blocks['T']->east - $again->blocks['A']->east), 3.2,
            'the corner may be another of the outline');
        self::assertSame([MarkKind::Path, MarkKind::Water, MarkKind::Building], array_map(static fn (GroundMark $m): MarkKind => $m->kind,
            $again->marks));
        self::assertEqualsWithDelta([[0.0, 0.0], [40.0, 0.0]], $again->marks[0]->points, 0.02);
    }

    public function testRingsAreClosedAndAgainstTheSun(): void
    {
        /**
         * @var array{features: list<array{properties: array{name: string, kind: string}, geometry: array{type: string,
         *     coordinates: list<list<array{float, float}>>}}>} $json
         */
        $json = json_decode(GeoJsonFile::write(self::laid()), true);
        foreach (array_filter($json['features'], static fn (array $f): bool => 'Polygon' === $f['geometry']['type']) as $feature) {
            $ring = $feature['geometry']['coordinates'][0];
            self::assertSame($ring[0], $ring[\count($ring) - 1], $feature['properties']['name']);
            self::assertGreaterThan(0.0, BlockLay::area(\array_slice($ring, 0, -1)), $feature['properties']['name']);
        }
        self::assertSame(['A', 'T', 'A1', 'A2', 'A3', 'T1'], array_map(static fn (array $f): string => $f['properties']['name'],
            $json['features']));
    }

    /** @return iterable<string, array{string, string}> */
    public static function unusable(): iterable
    {
        $point = static fn (string $at): string => '{"type":"FeatureCollection","features":[{"type":"Feature",'
            .'"properties":{"name":"A"},"geometry":{"type":"Polygon","coordinates":[['.$at.']]}}]}';
        yield 'no JSON' => ['here lies block A', 'This is no GeoJSON'];
        yield 'metres, not degrees' => [$point('[2683000,1247000],[2683020,1247000],[2683020,1247030],[2683000,1247000]'),
            'not longitude and latitude'];
        yield 'half a continent' => [$point('[8.0,47.0],[9.0,47.0],[9.0,47.5],[8.0,47.0]'), 'farther than 5 km'];
        yield 'another garden' => [str_replace('"A"', '"Orchard"', $point('[8.0,47.0],[8.0002,47.0],[8.0002,47.0002],[8.0,47.0]')),
            'Name a polygon "A"'];
    }

    #[DataProvider('unusable')]
    public function testWhatIsWrongIsSaid(string $json, string $why): void
    {
        $this->expectException(UnusableMap::class);
        $this->expectExceptionMessage($why);
        GeoJsonFile::read($json, self::laid());
    }

    private static function laid(): Garden
    {
        $garden = LittleGarden::on('2026-03-02');

        return $garden->set($garden->settings->mapped(new GroundMap(['A' => new BlockLay(0.0, 0.0, 12.0), 'T' => new BlockLay(9.0, 0.0,
            12.0)])));
    }
}
