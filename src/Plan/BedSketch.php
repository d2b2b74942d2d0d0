<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Crop\Spacing;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;

/** A piece of bed drawn to scale from above: its head metres with every row and spot. */
final readonly class BedSketch
{
    private const WIDTH = 400.0;
    /** Metres shown. A whole bed to scale would leave the spots too small to see. */
    private const SHOWN = 2.4;
    private const MOST_SPOTS = 1500;

    /** Height with the scale below it, and where its ticks end. */
    public float $boxHeight;
    public float $tickEnd;

    /**
     * @param list<array{x: float, y: float}>      $spots
     * @param list<array{x: float, along: Length}> $ticks
     * @param list<Length>                         $across rows from one edge
     */
    private function __construct(public float $width, public float $height, public float $dot, public array $spots, public array $ticks,
        public Length $shown, public array $across)
    {
        $this->boxHeight = $height + 18;
        $this->tickEnd = $height + 3;
    }

    public static function of(Bed $bed, Spacing $spacing, Units $units): self
    {
        $shown = min(self::SHOWN, $spacing->length->metres());
        $scale = self::WIDTH / $shown;
        $height = round($bed->width->metres() * $scale, 1);
        $gap = $spacing->rows > 1 ? $spacing->rowGap->metres() * $scale : 0.0;
        $first = ($height - $gap * ($spacing->rows - 1)) / 2;
        $step = $spacing->inRow->metres() * $scale;
        $spots = [];
        for ($row = 0; $row < $spacing->rows; ++$row) {
            for ($x = $step / 2; $x < self::WIDTH && \count($spots) < self::MOST_SPOTS; $x += $step) {
                $spots[] = ['x' => round($x, 1), 'y' => round($first + $row * $gap, 1)];
            }
        }
        $ticks = [];
        for ($metre = 0.0; $metre <= $shown + 0.001; $metre += Units::Metric === $units ? 0.5 : 0.3048) {
            $ticks[] = ['x' => round($metre * $scale, 1), 'along' => Length::fromMetres($metre)];
        }

        return new self(self::WIDTH, $height, round(max(1.0, min(7.0, $step / 3)), 1), $spots, $ticks, Length::fromMetres($shown),
            $spacing->rowsAcross($bed->width));
    }
}
