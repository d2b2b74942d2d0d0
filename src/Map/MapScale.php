<?php

declare(strict_types=1);

namespace App\Map;

/** Metres on the ground as units of a drawing, north up. */
final readonly class MapScale
{
    /** Lengths a scale bar may have, metres. */
    private const BARS = [1, 2, 5, 10, 20, 50, 100, 200, 500];

    private function __construct(public float $perMetre, private float $west, private float $north, public float $width,
        public float $height)
    {
    }

    /**
     * @param array{float, float, float, float} $bounds west, south, east, north in metres
     * @param float                             $edge   units left free around it
     */
    public static function fitting(array $bounds, float $width, float $height, float $edge): self
    {
        [$west, $south, $east, $north] = $bounds;
        $perMetre = min(($width - 2 * $edge) / max(1.0, $east - $west), ($height - 2 * $edge) / max(1.0, $north - $south));

        return new self($perMetre, $west - $edge / $perMetre, $north + $edge / $perMetre, round(($east - $west) * $perMetre + 2 * $edge, 1),
            round(($north - $south) * $perMetre + 2 * $edge, 1));
    }

    /**
     * @param array{float, float} $point metres east and north
     *
     * @return array{float, float}
     */
    public function at(array $point): array
    {
        return [round(($point[0] - $this->west) * $this->perMetre, 1), round(($this->north - $point[1]) * $this->perMetre, 1)];
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return string for the points of an SVG polygon
     */
    public function points(array $points): string
    {
        return implode(' ', array_map(fn (array $p): string => implode(',', $this->at($p)), $points));
    }

    /** Metres of a scale bar of about a sixth of the width. */
    public function bar(): int
    {
        $best = self::BARS[0];
        foreach (self::BARS as $metres) {
            $best = $metres * $this->perMetre <= $this->width / 5 ? $metres : $best;
        }

        return $best;
    }
}
