<?php

declare(strict_types=1);

namespace App\Map;

use App\Codec\MapFile;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\LaidBeds;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Map\Projection;

/**
 * The map as GeoJSON (RFC 7946), in and out. Polygons named like a block are its outline, others are buildings; lines are paths,
 * or water where they say so; points are water.
 */
final class GeoJsonFile
{
    private const MOST = 2_000_000;

    /**
     * The garden's map with what a file says in place of it; blocks it does not name stay as they are.
     *
     * @throws UnusableMap naming what is wrong and what would be right
     */
    public static function read(string $json, Garden $garden): GroundMap
    {
        if (\strlen($json) > self::MOST) {
            throw UnusableMap::of('The file is larger than 2 MB. Leave out what is not of the garden.');
        }
        $features = self::features($json);
        $corner = null;
        foreach (array_merge(...array_column($features, 'points')) as [$longitude, $latitude]) {
            $corner = [min($corner[0] ?? $longitude, $longitude), min($corner[1] ?? $latitude, $latitude)];
        }
        $projection = null === $corner ? null : new Projection(...$corner);
        $blocks = [];
        $marks = [];
        foreach ($features as $feature) {
            $points = array_map(static fn (array $p): array => $projection?->metres($p[0], $p[1]) ?? [0.0, 0.0], $feature['points']);
            foreach ($points as [$east, $north]) {
                if ($east > MapFile::FARTHEST || $north > MapFile::FARTHEST) {
                    throw UnusableMap::of('It reaches farther than 5 km. A map here holds one garden.');
                }
            }
            $block = self::blockNamed($feature['name'], $garden->blocks);
            if ('Polygon' === $feature['type'] && null !== $block && \count($points) >= 3) {
                $blocks[$block] = BlockLay::along($points);
            } elseif ([] !== $points && \count($marks) < MapFile::MARKS) {
                $marks[] = new GroundMark(self::kind($feature), mb_substr($feature['name'], 0, 60), $points);
            }
        }
        if ([] === $blocks) {
            $name = $garden->blocks[0] ?? 'A';
            throw UnusableMap::of('No outline in it is named like a block of this garden. Name a polygon "'.$name.'", for example.');
        }

        return new GroundMap($blocks, $marks, $corner);
    }

    /** Blocks, beds, paths, water and buildings. Without a corner the map lies at the garden's latitude on the prime meridian. */
    public static function write(Garden $garden): string
    {
        $map = $garden->settings->map;
        $projection = new Projection(...$map->corner ?? [0.0, $garden->place->latitude]);
        $laid = LaidBeds::of($garden->blocks, $garden->bedsInUse(), $map);
        $features = [];
        foreach ($laid->outlines as $block => $outline) {
            $features[] = self::feature('Polygon', [self::degrees($projection, self::closed($outline))], ['name' => (string) $block,
                'kind' => 'block']);
        }
        foreach ($laid->beds as $name => $bed) {
            $features[] = self::feature('Polygon', [self::degrees($projection, self::closed($bed->corners()))], ['name' => (string) $name,
                'kind' => 'bed',
                'block' => $bed->bed->block]);
        }
        foreach ($map->marks as $mark) {
            $features[] = match (true) {
                1 === \count($mark->points) => self::feature('Point', self::degrees($projection, $mark->points)[0], ['name' => $mark->name,
                    'kind' => $mark->kind->value]),
                MarkKind::Building === $mark->kind && \count($mark->points) > 2 => self::feature('Polygon', [self::degrees($projection,
                    self::closed($mark->points))],
                    ['name' => $mark->name, 'kind' => $mark->kind->value]),
                default => self::feature('LineString', self::degrees($projection, $mark->points), ['name' => $mark->name,
                    'kind' => $mark->kind->value]),
            };
        }

        return json_encode(['type' => 'FeatureCollection', 'features' => $features], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE
            | \JSON_PRESERVE_ZERO_FRACTION | \JSON_PRETTY_PRINT)."\n";
    }

    /**
     * Metres as degrees, to the centimetre.
     *
     * @param list<array{float, float}> $places
     *
     * @return list<array{float, float}>
     */
    private static function degrees(Projection $projection, array $places): array
    {
        $degrees = [];
        foreach ($places as $place) {
            [$longitude, $latitude] = $projection->degrees($place[0], $place[1]);
            $degrees[] = [round($longitude, 7), round($latitude, 7)];
        }

        return $degrees;
    }

    /**
     * Round against the sun, the first corner again at the end (RFC 7946, 3.1.6).
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private static function closed(array $points): array
    {
        $round = BlockLay::area($points) < 0.0 ? array_reverse($points) : $points;

        return [...$round, $round[0]];
    }

    /**
     * @param array<mixed>          $coordinates
     * @param array<string, string> $properties
     *
     * @return array<string, mixed>
     */
    private static function feature(string $type, array $coordinates, array $properties): array
    {
        return ['type' => 'Feature', 'properties' => $properties, 'geometry' => ['type' => $type, 'coordinates' => $coordinates]];
    }

    /**
     * Beds are left out: they follow from their block.
     *
     * @return list<array{type: string, name: string, kind: string, points: list<array{float, float}>}>
     */
    private static function features(string $json): array
    {
        $values = json_decode($json, true, 12);
        if (!\is_array($values) || !\is_array($values['features'] ?? null)) {
            throw UnusableMap::of('This is no GeoJSON. It begins with {"type": "FeatureCollection", "features": [ … ]}.');
        }
        $features = [];
        foreach ($values['features'] as $feature) {
            $geometry = \is_array($feature) && \is_array($feature['geometry'] ?? null) ? $feature['geometry'] : [];
            $properties = \is_array($feature) && \is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
            $type = \is_string($geometry['type'] ?? null) ? $geometry['type'] : '';
            $coordinates = \is_array($geometry['coordinates'] ?? null) ? $geometry['coordinates'] : [];
            $name = $properties['name'] ?? $properties['block'] ?? '';
            $kind = $properties['kind'] ?? '';
            $points = self::points(match ($type) {
                'Polygon' => \is_array($coordinates[0] ?? null) ? \array_slice($coordinates[0], 0, -1) : [],
                'LineString' => $coordinates,
                'Point' => [$coordinates],
                default => [],
            });
            if ([] !== $points && 'bed' !== $kind) {
                $features[] = ['type' => $type, 'name' => \is_scalar($name) ? trim((string) $name) : '', 'kind' => \is_string($kind) ? $kind
                    : '', 'points' => $points];
            }
        }

        return $features;
    }

    /**
     * @param array<mixed> $coordinates
     *
     * @return list<array{float, float}>
     */
    private static function points(array $coordinates): array
    {
        $points = [];
        foreach (\array_slice($coordinates, 0, MapFile::POINTS) as $one) {
            $longitude = \is_array($one) ? $one[0] ?? null : null;
            $latitude = \is_array($one) ? $one[1] ?? null : null;
            if (!is_numeric($longitude) || !is_numeric($latitude) || abs((float) $longitude) > 180 || abs((float) $latitude) > 85) {
                throw UnusableMap::of('Its places are not longitude and latitude in degrees (RFC 7946), as in [8.25, 47.05].');
            }
            $points[] = [(float) $longitude, (float) $latitude];
        }

        return $points;
    }

    /** @param list<string> $blocks */
    private static function blockNamed(string $name, array $blocks): ?string
    {
        foreach ($blocks as $block) {
            if (mb_strtolower($block) === mb_strtolower(trim((string) preg_replace('/^block\s+/i', '', $name)))) {
                return $block;
            }
        }

        return null;
    }

    /** @param array{type: string, kind: string, ...} $feature */
    private static function kind(array $feature): MarkKind
    {
        return MarkKind::tryFrom($feature['kind']) ?? match ($feature['type']) {
            'Polygon' => MarkKind::Building, 'Point' => MarkKind::Water, default => MarkKind::Path,
        };
    }
}
