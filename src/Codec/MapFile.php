<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\MarkKind;

/** How the blocks lie, in a garden file and as it is stored: metres to the centimetre, degrees. */
final class MapFile
{
    /** Metres a map may reach from its corner. */
    public const FARTHEST = 5000.0;
    public const MARKS = 200;
    public const POINTS = 500;

    /** @return array<string, mixed> */
    public static function values(GroundMap $map): array
    {
        $blocks = [];
        foreach ($map->blocks as $block => $lay) {
            $blocks[] = ['block' => (string) $block, 'east_m' => round($lay->east, 2), 'north_m' => round($lay->north, 2),
                'bearing' => round($lay->bearing, 2), 'outline' => self::points($lay->outline)];
        }

        return array_filter([
            'corner' => null === $map->corner ? null : ['longitude' => $map->corner[0], 'latitude' => $map->corner[1]],
            'blocks' => $blocks,
            'marks' => array_map(static fn (GroundMark $m): array => ['kind' => $m->kind->value, 'name' => $m->name,
                'points' => self::points($m->points)], $map->marks),
        ], static fn (mixed $v): bool => null !== $v && [] !== $v);
    }

    /** @param list<string>|null $names of blocks there are; null: not looked at */
    public static function read(Node $node, ?array $names = null): GroundMap
    {
        $blocks = [];
        foreach ($node->has('blocks') ? $node->objects('blocks', self::MARKS) : [] as $one) {
            $block = $one->text('block', 60);
            if (null !== $names && !\in_array($block, $names, true)) {
                $one->fault('block', 'is no block of this garden.');
                continue;
            }
            $blocks[$block] = new BlockLay($one->float('east_m', -self::FARTHEST, self::FARTHEST),
                $one->float('north_m', -self::FARTHEST, self::FARTHEST), $one->float('bearing', 0, 360), self::readPoints($one, 'outline',
                    0));
        }
        $marks = [];
        foreach ($node->has('marks') ? $node->objects('marks', self::MARKS) : [] as $one) {
            $points = self::readPoints($one, 'points', 1);
            [] === $points ?: $marks[] = new GroundMark($one->choice('kind', MarkKind::class), $one->text('name', 60, '/^/u'), $points);
        }
        $corner = $node->has('corner') ? $node->object('corner') : null;

        return new GroundMap($blocks, $marks, null === $corner ? null : [$corner->float('longitude', -180, 180),
            $corner->float('latitude', -85, 85)]);
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return list<array{east_m: float, north_m: float}>
     */
    private static function points(array $points): array
    {
        return array_map(static fn (array $p): array => ['east_m' => round($p[0], 2), 'north_m' => round($p[1], 2)], $points);
    }

    /** @return list<array{float, float}> */
    private static function readPoints(Node $node, string $field, int $least): array
    {
        $points = array_map(static fn (Node $p): array => [$p->float('east_m', -self::FARTHEST, self::FARTHEST),
            $p->float('north_m', -self::FARTHEST, self::FARTHEST)], $node->has($field) ? $node->objects($field, self::POINTS) : []);
        if (\count($points) < $least || (0 === $least && \in_array(\count($points), [1, 2], true))) {
            $node->fault($field, 'has too few points.');
        }

        return array_values($points);
    }
}
