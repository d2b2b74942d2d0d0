<?php

declare(strict_types=1);

namespace App\Years;

use App\Wall\Family;
use JollyFurrow\Land\Bed;
use JollyFurrow\Years\BedStay;
use JollyFurrow\Years\BedYear;

/** Years of a bed along its length: in each year what stood, the later above the earlier where they shared ground. */
final readonly class YearsDrawing
{
    public const WIDTH = 600.0;
    private const ROW = 21.0;

    /**
     * @param list<array{stay: BedStay, css: string, glyph: string, x: float, w: float, y: float, isOver: bool}> $bars
     */
    private function __construct(public array $bars, public float $height)
    {
    }

    public static function of(BedYear $year, Bed $bed): self
    {
        $placed = [];
        $bars = [];
        foreach ($year->stays as $stay) {
            $row = 0;
            while ([] !== array_filter($placed[$row] ?? [], static fn (BedStay $s): bool => $s->stretch->from < $stay->stretch->to
                && $stay->stretch->from < $s->stretch->to)) {
                ++$row;
            }
            $placed[$row][] = $stay;
            $bars[] = [$stay, $row];
        }
        $high = self::ROW * max(1, \count($placed));

        return new self(array_map(static fn (array $bar): array => ['stay' => $bar[0], 'css' => Family::css($bar[0]->crop->family ?? ''),
            'glyph' => Family::glyph($bar[0]->crop->family ?? ''), 'x' => round(self::WIDTH * $bar[0]->stretch->from
                / $bed->length->micrometres, 1), 'w' => round(self::WIDTH * ($bar[0]->stretch->to - $bar[0]->stretch->from)
                / $bed->length->micrometres, 1), 'y' => $high - self::ROW * ($bar[1] + 1), 'isOver' => null === $bar[0]->planting],
            $bars), $high + 2.0);
    }
}
