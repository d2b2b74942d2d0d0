<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Map\MapDrawing;
use App\Map\MapScale;
use App\Wall\Family;
use App\Wall\WallDrawing;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Map\LaidBeds;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** The map on a sheet, in black and white, as it stands on a day. */
final readonly class MapSheet
{
    private const MARGIN = 28.0;
    private const HEAD = 24.0;
    private const LEAST_TEXT = 4.2;

    public function __construct(private CropBook $book, private Sayer $sayer)
    {
    }

    public function of(Garden $garden, Day $day, PaperSize $size): Sheet
    {
        [$width, $height] = $size->points();
        $sheet = new Sheet($width, $height);
        $map = $garden->settings->map;
        $laid = LaidBeds::of($garden->blocks, $garden->bedsInUse(), $map);
        $scale = MapScale::fitting($laid->bounds($map->marks), $width, $height - self::HEAD, self::MARGIN);
        $sheet->words(self::MARGIN, self::MARGIN - 2, \sprintf('%s on %s', $garden->name, $this->sayer->formatter()->date($day)->text), 12,
            true);
        $sheet->words($width - self::MARGIN, self::MARGIN - 2, 'north is up', 8, false, 'end');
        foreach ($map->marks as $mark) {
            $points = self::all($scale, $mark->points);
            match (true) {
                1 === \count($points) => $sheet->box($points[0][0] - 3, $points[0][1] - 3, 6, 6, 0.4),
                MarkKind::Building === $mark->kind => $sheet->shape($points, 0.92),
                default => $sheet->line($points, MarkKind::Path === $mark->kind ? 3.0 : 0.9, MarkKind::Path === $mark->kind ? [] : [4, 2],
                    MarkKind::Path === $mark->kind ? 0.88 : 0.35),
            };
            $middle = $points[intdiv(\count($points) - 1, 2)];
            '' === $mark->name ?: $sheet->words($middle[0] + 5, $middle[1] - 4, $mark->name, 7);
        }
        $standing = MapDrawing::standing($garden, $day);
        foreach ($laid->beds as $name => $bed) {
            $sheet->shape(self::all($scale, $bed->corners()), null, 0.5);
            foreach ($standing[$name] ?? [] as ['planting' => $planting]) {
                foreach ($planting->pieces as $piece) {
                    if ($piece->bed === (string) $name) {
                        $this->piece($sheet, $garden, $planting, self::all($scale, $bed->piece($piece, WallDrawing::below($garden,
                            $planting,
                            $piece))), $day, $laid->blocks[$bed->bed->block]->bearing);
                    }
                }
            }
            $head = self::all($scale, [$bed->head()])[0];
            $room = ($bed->bed->width->metres() + $bed->bed->path->metres()) * $scale->perMetre;
            $sheet->words($head[0], $head[1] + 7, (string) $name, min(7.0, $room / (0.66 * max(2, mb_strlen((string) $name)))), true,
                'middle');
        }
        foreach ($laid->outlines as $block => $outline) {
            $points = self::all($scale, $outline);
            usort($points, static fn (array $a, array $b): int => [$a[1], $a[0]] <=> [$b[1], $b[0]]);
            $sheet->words($points[0][0], $points[0][1] - 4, (string) $block, 10, true);
        }
        $bar = $scale->bar() * $scale->perMetre;
        $sheet->line([[self::MARGIN, $height - 14], [self::MARGIN, $height - 10], [self::MARGIN + $bar, $height - 10], [self::MARGIN + $bar,
            $height - 14]], 0.8);
        $sheet->words(self::MARGIN + $bar + 5, $height - 9, $this->sayer->formatter()->roundMetres((float) $scale->bar())->text, 7.5);

        return $sheet;
    }

    /**
     * @param list<array{float, float}> $places metres east and north
     *
     * @return list<array{float, float}> points on the sheet
     */
    private static function all(MapScale $scale, array $places): array
    {
        $points = [];
        foreach ($places as $place) {
            [$x, $y] = $scale->at($place);
            $points[] = [$x, $y + self::HEAD];
        }

        return $points;
    }

    /** @param list<array{float, float}> $corners head left, tail left, tail right, head right */
    private function piece(Sheet $sheet, Garden $garden, Planting $planting, array $corners, Day $day,
        float $bearing): void
    {
        $doing = MapDrawing::doing($planting, $day);
        $sheet->shape($corners, ['prep' => 0.97, 'grow' => 0.86, 'ready' => 0.62][$doing] ?? null, 'ready' === $doing ? 1.0 : 0.5);
        $crop = $this->book->grown($planting->item, $planting->variety);
        $wide = hypot($corners[3][0] - $corners[0][0], $corners[3][1] - $corners[0][1]);
        $long = hypot($corners[1][0] - $corners[0][0], $corners[1][1] - $corners[0][1]);
        $size = min(9.0, $wide * 0.85);
        if ($size >= self::LEAST_TEXT) {
            $text = ('prep' === $doing ? '(' : '').Family::glyph($crop->family).' '.$crop->name.('prep' === $doing ? ')' : '');
            $sheet->turned(array_sum(array_column($corners, 0)) / 4, array_sum(array_column($corners, 1)) / 4, mb_substr($text, 0, max(1,
                (int) floor($long / $size / 0.6))), $size, MapDrawing::turn($bearing));
        }
    }
}
