<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

/**
 * How a block lies on the map: the corner where its first bed begins, in metres east and north of the map's corner, and the way
 * its beds run, in degrees from north by east. The next beds lie to the right of the first.
 */
final readonly class BlockLay
{
    /** @param list<array{float, float}> $outline metres east and north; none: as large as its beds */
    public function __construct(public float $east, public float $north, public float $bearing, public array $outline = [])
    {
    }

    /**
     * As an outline lies: beds run along its longest edge, and lie to the right of it.
     *
     * @param non-empty-list<array{float, float}> $outline corners in order, either way round, the first not repeated
     */
    public static function along(array $outline): self
    {
        // To the right of an edge is inside when the corners go round with the sun.
        $corners = self::area($outline) > 0.0 ? array_reverse($outline) : $outline;
        $best = 0;
        $longest = -1.0;
        foreach ($corners as $n => [$x, $y]) {
            [$toX, $toY] = $corners[($n + 1) % \count($corners)];
            $long = hypot($toX - $x, $toY - $y);
            // A hair's breadth decides nothing: the edge that comes first stays.
            if ($long > $longest + 1e-6) {
                [$best, $longest] = [$n, $long];
            }
        }
        [$x, $y] = $corners[$best];
        [$toX, $toY] = $corners[($best + 1) % \count($corners)];

        return new self($x, $y, fmod(rad2deg(atan2($toX - $x, $toY - $y)) + 360.0, 360.0), $outline);
    }

    /**
     * A place in the block on the map.
     *
     * @param float $along metres along the beds, from their heads
     * @param float $right metres to the right
     *
     * @return array{float, float} metres east and north
     */
    public function at(float $along, float $right): array
    {
        $way = deg2rad($this->bearing);

        return [$this->east + $along * sin($way) + $right * cos($way), $this->north + $along * cos($way) - $right * sin($way)];
    }

    /**
     * Square metres inside an outline (shoelace formula, Gauss), above zero when the corners go round against the sun.
     *
     * @param list<array{float, float}> $outline
     */
    public static function area(array $outline): float
    {
        $twice = 0.0;
        foreach ($outline as $n => [$x, $y]) {
            [$toX, $toY] = $outline[($n + 1) % \count($outline)];
            $twice += $x * $toY - $toX * $y;
        }

        return $twice / 2;
    }
}
