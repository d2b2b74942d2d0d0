<?php

declare(strict_types=1);

namespace App\Lanes;

use App\Wall\Family;
use App\Wall\Scale;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Plan\Plan;

/**
 * How much of all that is promised is covered, by family and week: solid, hatched in part, open. The last row is all of it.
 *
 * @phpstan-type HeatCell array{x: float, w: float, level: string, share: float, week: int}
 */
final readonly class PromiseHeat
{
    public const ROW = 11.0;
    public const ALL = '';
    /** Shares below which a cell is hatched, and open. */
    private const WHOLE = 0.995;
    private const HALF = 0.5;

    /**
     * @param array<string, array{cells: list<HeatCell>, glyph: string, items: list<string>, y: float}> $rows by family; '': all
     */
    private function __construct(public array $rows, public float $height)
    {
    }

    public static function of(Plan $plan, CropBook $book, Scale $scale): self
    {
        $wanted = $served = $items = [];
        foreach ($plan->needs as $item => $needs) {
            $family = $book->get($item)->family;
            $items[$family][] = $item;
            foreach ($needs as $j => $need) {
                $week = (int) floor(($need->day - $scale->first) / 7);
                foreach ($week >= 0 && $week < $scale->weeks ? [$family, self::ALL] : [] as $row) {
                    $wanted[$row][$week] = ($wanted[$row][$week] ?? 0) + 1.0;
                    $served[$row][$week] = ($served[$row][$week] ?? 0.0) + ($need->units > 0 ? $plan->served[$item][$j] / $need->units
                        : 1.0);
                }
            }
        }
        ksort($wanted);
        $rows = [];
        foreach ([...array_diff(array_keys($wanted), [self::ALL]), ...isset($wanted[self::ALL]) ? [self::ALL] : []] as $row) {
            ksort($wanted[$row]);
            $cells = [];
            foreach ($wanted[$row] as $week => $units) {
                $share = $served[$row][$week] / $units;
                $cells[] = ['x' => round($scale->x($scale->first + 7 * $week) + 0.5, 1), 'w' => round($scale->week - 1, 1),
                    'level' => $share >= self::WHOLE ? 'whole' : ($share >= self::HALF ? 'part' : 'open'), 'share' => $share,
                    'week' => $week];
            }
            $rows[$row] = ['cells' => $cells, 'glyph' => self::ALL === $row ? 'Σ' : Family::glyph((string) $row),
                'items' => self::ALL === $row ? array_merge(...array_values($items)) : $items[$row], 'y' => self::ROW * \count($rows)];
        }

        return new self($rows, self::ROW * \count($rows));
    }
}
