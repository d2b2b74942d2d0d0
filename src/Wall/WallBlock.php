<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;

/** One block of the wall: its beds, or, folded, how much of them is taken by week. */
final readonly class WallBlock
{
    /** Pixels the ridge of a folded block is high when all of it is taken. */
    private const HIGH = 24.0;
    private const SOIL = 27.0;

    /**
     * @param list<array{bed: Bed, strips: list<Strip>, labels: list<Strip>}> $rows
     * @param string                                                          $ridge path of what is taken; '': it is not folded
     * @param list<float>                                                     $taken share of its metres by week
     */
    private function __construct(public string $name, public int $beds, public array $rows, public string $ridge, public array $taken)
    {
    }

    /** @param list<array{bed: Bed, strips: list<Strip>, labels: list<Strip>}> $rows */
    public static function open(string $name, int $beds, array $rows): self
    {
        return new self($name, $beds, $rows, '', []);
    }

    /** @param list<Bed> $beds */
    public static function folded(string $name, array $beds, Garden $garden, Scale $scale): self
    {
        $metres = array_fill(0, $scale->weeks, 0.0);
        $names = array_fill_keys(array_map(static fn (Bed $bed): string => $bed->name, $beds), true);
        $all = array_sum(array_map(static fn (Bed $bed): float => $bed->length->metres(), $beds));
        foreach ($garden->plantings as $planting) {
            foreach ($planting->pieces as $piece) {
                $from = max(0, (int) floor(($planting->bedStart->number - $scale->first) / 7));
                $to = min($scale->weeks - 1, (int) floor(($planting->clear->number - $scale->first) / 7));
                for ($week = $from; isset($names[$piece->bed]) && $week <= $to; ++$week) {
                    $metres[$week] += $piece->length()->metres() * $piece->widthShare;
                }
            }
        }
        $taken = array_map(static fn (float $m): float => $all > 0.0 ? min(1.0, $m / $all) : 0.0, $metres);
        $path = 'M0 '.self::SOIL;
        foreach ($taken as $week => $share) {
            $path .= \sprintf('V%sH%s', round(self::SOIL - self::HIGH * $share, 1), $scale->x($scale->first + 7 * ($week + 1)));
        }

        return new self($name, \count($beds), [], $path.'V'.self::SOIL.'Z', array_values($taken));
    }

    public function isFolded(): bool
    {
        return '' !== $this->ridge;
    }
}
