<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

use JollyFurrow\Land\Bed;

/** Every bed of a garden where it lies on the map, to scale, in metres east and north. */
final readonly class LaidBeds
{
    /** Metres between blocks nobody has placed, and how wide a row of them gets. */
    private const BETWEEN = 4.0;
    private const ROW = 90.0;

    /**
     * @param array<string, BlockLay>                  $blocks   where each lies
     * @param array<string, LaidBed>                   $beds     by name
     * @param array<string, list<array{float, float}>> $outlines of blocks
     */
    private function __construct(public array $blocks, public array $beds, public array $outlines)
    {
    }

    /**
     * @param list<string> $blocks in walking order
     * @param list<Bed>    $beds   in walking order
     */
    public static function of(array $blocks, array $beds, GroundMap $map): self
    {
        $lays = $laid = $outlines = [];
        $byBlock = [];
        foreach ($beds as $bed) {
            $byBlock[$bed->block][] = $bed;
        }
        $unplaced = self::inRows(array_filter($byBlock, static fn (string|int $b): bool => !isset($map->blocks[$b]), \ARRAY_FILTER_USE_KEY),
            $blocks, self::below($map, $byBlock));
        foreach ($blocks as $block) {
            $mine = $byBlock[$block] ?? [];
            $lay = $map->blocks[$block] ?? $unplaced[$block] ?? null;
            if ([] === $mine || null === $lay) {
                continue;
            }
            $lays[$block] = $lay;
            $right = 0.0;
            foreach ($mine as $bed) {
                $laid[$bed->name] = new LaidBed($bed, $lay, $right);
                $right += $bed->width->metres() + $bed->path->metres();
            }
            [$long, $wide] = self::size($mine);
            $outlines[$block] = [] !== $lay->outline ? $lay->outline : [$lay->at(0.0, 0.0), $lay->at($long, 0.0), $lay->at($long, $wide),
                $lay->at(0.0, $wide)];
        }

        return new self($lays, $laid, $outlines);
    }

    /**
     * The rectangle all of it lies in.
     *
     * @param list<GroundMark> $marks
     *
     * @return array{float, float, float, float} west, south, east, north in metres
     */
    public function bounds(array $marks): array
    {
        $points = array_merge([], ...array_values($this->outlines), ...array_map(static fn (LaidBed $b): array => $b->corners(),
            array_values($this->beds)), ...array_map(static fn (GroundMark $m): array => $m->points, $marks));
        $points = [] === $points ? [[0.0, 0.0], [10.0, 10.0]] : $points;
        [$x, $y] = [array_column($points, 0), array_column($points, 1)];

        return [min($x), min($y), max($x), max($y)];
    }

    /**
     * Metres along and across a block takes: its longest bed, all widths and the paths between.
     *
     * @param non-empty-list<Bed> $beds
     *
     * @return array{float, float}
     */
    private static function size(array $beds): array
    {
        $wide = array_sum(array_map(static fn (Bed $b): float => $b->width->metres() + $b->path->metres(), $beds));

        return [max(array_map(static fn (Bed $b): float => $b->length->metres(), $beds)), $wide - $beds[\count($beds) - 1]->path->metres()];
    }

    /**
     * South of what is placed.
     *
     * @param array<string, non-empty-list<Bed>> $byBlock
     */
    private static function below(GroundMap $map, array $byBlock): float
    {
        $south = 0.0;
        foreach ($map->blocks as $block => $lay) {
            [$long, $wide] = isset($byBlock[$block]) ? self::size($byBlock[$block]) : [0.0, 0.0];
            foreach ([[0.0, 0.0], [$long, 0.0], [$long, $wide], [0.0, $wide]] as [$along, $right]) {
                $south = min($south, $lay->at($along, $right)[1]);
            }
        }

        return $south - ([] === $map->blocks ? 0.0 : self::BETWEEN);
    }

    /**
     * Beds run north and south, block beside block, row under row.
     *
     * @param array<string, non-empty-list<Bed>> $byBlock
     * @param list<string>                       $order
     *
     * @return array<string, BlockLay>
     */
    private static function inRows(array $byBlock, array $order, float $top): array
    {
        $lays = [];
        $east = $deep = 0.0;
        foreach ($order as $block) {
            if (!isset($byBlock[$block])) {
                continue;
            }
            [$long, $wide] = self::size($byBlock[$block]);
            if ($east > 0.0 && $east + $wide > self::ROW) {
                $top -= $deep + self::BETWEEN;
                $east = $deep = 0.0;
            }
            // Heads in the south: the first bed begins at the lower left corner.
            $lays[$block] = new BlockLay($east, $top - $long, 0.0);
            $east += $wide + self::BETWEEN;
            $deep = max($deep, $long);
        }

        return $lays;
    }
}
