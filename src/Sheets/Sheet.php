<?php

declare(strict_types=1);

namespace App\Sheets;

/**
 * One sheet of paper with what is drawn on it, in points (1/72 inch) from its upper left corner: black, greys and white, for a
 * printer in black and white. The same sheet is written as SVG and as PDF, so that both show the same.
 *
 * @phpstan-type Line array{kind: 'line', points: list<array{float, float}>, width: float, dash: list<float>, grey: float}
 * @phpstan-type Shape array{kind: 'shape', points: list<array{float, float}>, fill: float|null, width: float}
 * @phpstan-type Words array{kind: 'words', x: float, y: float, text: string, size: float, bold: bool,
 *     anchor: 'start'|'middle'|'end', turn: float}
 */
final class Sheet
{
    /** @var list<Line|Shape|Words> in the order they are drawn */
    private array $marks = [];

    public function __construct(public readonly float $width, public readonly float $height)
    {
    }

    /**
     * @param list<array{float, float}> $points
     * @param list<float>               $dash
     * @param float                     $grey   0 black to 1 white
     */
    public function line(array $points, float $width = 0.6, array $dash = [], float $grey = 0.0): void
    {
        $this->marks[] = ['kind' => 'line', 'points' => $points, 'width' => $width, 'dash' => $dash, 'grey' => $grey];
    }

    /**
     * @param list<array{float, float}> $points of a closed shape
     * @param float|null                $fill   grey, 0 black to 1 white; null: none
     * @param float                     $width  of its outline; 0: none
     */
    public function shape(array $points, ?float $fill, float $width = 0.5): void
    {
        if (\count($points) > 2) {
            $this->marks[] = ['kind' => 'shape', 'points' => $points, 'fill' => $fill, 'width' => $width];
        }
    }

    public function box(float $x, float $y, float $w, float $h, ?float $fill, float $width = 0.5): void
    {
        $this->shape([[$x, $y], [$x + $w, $y], [$x + $w, $y + $h], [$x, $y + $h]], $fill, $width);
    }

    /** @param 'start'|'middle'|'end' $anchor */
    public function words(float $x, float $y, string $text, float $size = 7.0, bool $bold = false, string $anchor = 'start'): void
    {
        $this->marks[] = ['kind' => 'words', 'x' => $x, 'y' => $y, 'text' => $text, 'size' => $size, 'bold' => $bold, 'anchor' => $anchor,
            'turn' => 0.0];
    }

    /**
     * Words about a middle, turned.
     *
     * @param float $turn degrees, with the sun
     */
    public function turned(float $x, float $y, string $text, float $size, float $turn): void
    {
        $this->marks[] = ['kind' => 'words', 'x' => $x, 'y' => $y, 'text' => $text, 'size' => $size, 'bold' => false, 'anchor' => 'middle',
            'turn' => $turn];
    }

    /** Slanting strokes inside a box. */
    public function hatch(float $x, float $y, float $w, float $h, float $gap = 3.0): void
    {
        for ($at = $x - $h; $at < $x + $w; $at += $gap) {
            $from = max($x, $at);
            $to = min($x + $w, $at + $h);
            $to > $from ? $this->line([[$from, $y + $h - ($from - $at)], [$to, $y + $h - ($to - $at)]], 0.35) : null;
        }
    }

    /** @return list<Line|Shape|Words> */
    public function marks(): array
    {
        return $this->marks;
    }
}
