<?php

declare(strict_types=1);

namespace App\Map;

use App\Wall\Colouring;
use App\Wall\WallDrawing;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\LaidBed;
use JollyFurrow\Map\LaidBeds;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** The garden from above, to scale, north up: blocks, beds and what stands in them on a day. */
final readonly class MapDrawing
{
    private const WIDTH = 1000.0;
    private const HEIGHT = 620.0;
    private const EDGE = 34.0;
    private const LEAST_TEXT = 5.5;
    private const MOST_TEXT = 12.0;
    private const LETTER = 0.56;

    /**
     * @param list<array<string, mixed>>                  $blocks
     * @param list<array<string, mixed>>                  $marks
     * @param array{y: float, long: float, metres: float} $bar    of the scale
     * @param array{x: float}                             $north  its arrow
     */
    private function __construct(public MapScale $scale, public array $blocks, public array $marks, public array $bar,
        public array $north)
    {
    }

    /** @param list<Planting> $shown plantings that stand on some day the map can show */
    public static function of(Garden $garden, CropBook $book, array $shown, Colouring $colours, Day $on): self
    {
        $map = $garden->settings->map;
        $laid = LaidBeds::of($garden->blocks, $garden->bedsInUse(), $map);
        $scale = MapScale::fitting($laid->bounds($map->marks), self::WIDTH, self::HEIGHT, self::EDGE);
        $onBed = [];
        foreach ($shown as $planting) {
            foreach ($planting->pieces as $piece) {
                $onBed[$piece->bed][] = [$planting, $piece];
            }
        }
        $blocks = [];
        foreach ($laid->outlines as $block => $outline) {
            $name = array_map($scale->at(...), $outline);
            usort($name, static fn (array $a, array $b): int => [$a[1], $a[0]] <=> [$b[1], $b[0]]);
            $beds = [];
            foreach ($laid->beds as $one) {
                if ($one->bed->block === (string) $block) {
                    $beds[] = self::bed($garden, $book, $one, $onBed[$one->bed->name] ?? [], $scale, $colours,
                        $laid->blocks[$block]->bearing, $on);
                }
            }
            $blocks[] = ['name' => (string) $block, 'outline' => $scale->points($outline), 'x' => $name[0][0], 'y' => $name[0][1] - 4,
                'beds' => $beds];
        }

        return new self($scale, $blocks, array_map(static fn (GroundMark $m): array => ['kind' => $m->kind->value, 'name' => $m->name,
            'points' => $scale->points($m->points), 'at' => $scale->at($m->points[intdiv(\count($m->points) - 1, 2)]),
            'isPoint' => 1 === \count($m->points)], $map->marks), ['y' => $scale->height - 8.0,
                'long' => round($scale->bar() * $scale->perMetre, 1), 'metres' => (float) $scale->bar()],
            ['x' => $scale->width - 16.0]);
    }

    /**
     * @param list<array{Planting, \JollyFurrow\Land\Stretch}> $pieces
     *
     * @return array<string, mixed>
     */
    private static function bed(Garden $garden, CropBook $book, LaidBed $laid, array $pieces, MapScale $scale, Colouring $colours,
        float $bearing, Day $on): array
    {
        $size = min(self::MOST_TEXT, $laid->bed->width->metres() * $scale->perMetre * 0.95);
        $drawn = [];
        foreach ($pieces as [$planting, $piece]) {
            $crop = $book->grown($planting->item, $planting->variety);
            [$css, $glyph] = $colours->mark($planting, $crop);
            $corners = $laid->piece($piece, WallDrawing::below($garden, $planting, $piece));
            $label = $glyph.' '.$crop->name;
            $long = $piece->length()->metres() * $scale->perMetre;
            $drawn[] = ['planting' => $planting, 'doing' => self::doing($planting, $on), 'crop' => $crop, 'css' => $css,
                'points' => $scale->points($corners),
                'at' => self::middle($scale, $corners), 'label' => mb_substr($label, 0, max(1, (int) floor($long / $size / self::LETTER))),
                'size' => round($size * min(1.0, $piece->widthShare + 0.25), 1),
                    'isWritten' => $size * $piece->widthShare >= self::LEAST_TEXT];
        }

        return ['bed' => $laid->bed, 'points' => $scale->points($laid->corners()), 'pieces' => $drawn,
            'turn' => round(self::turn($bearing), 1), 'size' => round($size, 1),
            'at' => self::middle($scale, $laid->corners()), 'head' => $scale->at($laid->head())];
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return array{float, float}
     */
    private static function middle(MapScale $scale, array $corners): array
    {
        return $scale->at([array_sum(array_column($corners, 0)) / \count($corners), array_sum(array_column($corners,
            1)) / \count($corners)]);
    }

    /** Degrees with the sun by which words along a bed are turned: they are never upside down. */
    public static function turn(float $bearing): float
    {
        $turn = fmod($bearing - 90.0 + 360.0, 360.0);

        return $turn > 90.0 && $turn <= 270.0 ? $turn - 180.0 : $turn;
    }

    /** What a planting is doing on a day: '', prep, grow or ready. */
    public static function doing(Planting $planting, Day $day): string
    {
        return match (true) {
            $day->isBefore($planting->bedStart), $planting->clear->isBefore($day) => '',
            $day->isBefore($planting->ground) => 'prep',
            $day->isBefore($planting->ready) => 'grow',
            default => 'ready',
        };
    }

    /**
     * What stands in each bed on a day.
     *
     * @return array<string, list<array{planting: Planting, doing: string}>> by bed
     */
    public static function standing(Garden $garden, Day $day): array
    {
        $standing = [];
        foreach ($garden->plantings as $planting) {
            foreach ('' === self::doing($planting, $day) ? [] : array_unique(array_column($planting->pieces, 'bed')) as $bed) {
                $standing[$bed][] = ['planting' => $planting, 'doing' => self::doing($planting, $day)];
            }
        }
        $order = array_flip(array_map(static fn (Bed $b): string => $b->name, $garden->beds));
        uksort($standing, static fn (string|int $a, string|int $b): int => ($order[$a] ?? 0) <=> ($order[$b] ?? 0));

        return $standing;
    }
}
