<?php

declare(strict_types=1);

namespace App\Wall;

use App\Hand\HandChange;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;

/** One piece of a planting as it is drawn on its bed's row: paths in the row's own pixels. */
final readonly class Strip
{
    /** Points of a ridge. */
    private const STEPS = 6;
    /** Room for the nursery thread above the bed, and the height a whole bed takes. */
    public const HEAD = 6.0;
    public const BED = 29.0;
    private const LETTER = 4.9;
    private const HOOP = 9.0;

    /**
     * @param array{x: float, y: float, w: float, h: float} $frame the whole of it, where a pointer meets it
     */
    private function __construct(
        public string $id,
        public string $css,
        public string $hatch,
        public string $soil,
        public string $thread,
        public string $ridge,
        public string $holding,
        public string $notches,
        public string $label,
        public float $labelX,
        public float $labelY,
        public bool $flag,
        public Planting $planting,
        public Crop $crop,
        public string $bed,
        public int $first,
        public float $height,
        public array $frame,
        public string $hoops,
        public string $ink,
        public string $feeds,
    ) {
    }

    /**
     * @param array<int, int>            $weeks  units by the Monday of the week they are cut in
     * @param list<int>                  $steps  day numbers of the work that makes the bed ready
     * @param array{int, int}|null       $edge   day numbers it is ready early and late
     * @param float                      $below  share of the width others have beside it, drawn below it
     * @param array{string, string}|null $mark   css class and glyph; null: by its family
     * @param list<int>                  $serves day numbers of the market days it serves
     */
    public static function of(Planting $planting, Stretch $piece, int $bedLength, Crop $crop, string $hatch, string $id, Scale $scale,
        array $weeks, bool $flag, ?Ripening $ripening = null, ?CoverCalendar $covers = null, array $steps = [], ?array $edge = null,
        float $below = 0.0, ?array $mark = null, array $serves = []): self
    {
        $mark ??= [Family::css($crop->family), Family::glyph($crop->family)];
        $whole = self::BED * ($piece->to - $piece->from) / $bedLength;
        $base = round(self::HEAD + self::BED * (1 - $piece->from / $bedLength) - $whole * $below, 1);
        $height = round(max(2.0, $whole * $piece->widthShare - 1), 1);
        $top = round($base - $height, 1);
        $x = array_map($scale->x(...), [
            'start' => $planting->bedStart->number, 'ground' => $planting->ground->number, 'ready' => $planting->ready->number,
            'clear' => $planting->clear->number + 1, 'sow' => $planting->sow->number,
        ]);
        $stock = $crop->pattern->isStock();
        $inNursery = $planting->sow->isBefore($planting->ground) && $x['ground'] > 0;
        $thread = round(max(2.0, $top - 3), 1);

        return new self(
            $id,
            $mark[0],
            $hatch,
            self::soil($x['start'], $x['ground'], $x['clear'], $base, min(5.0, $height)),
            $inNursery ? \sprintf('M%s %sH%sV%s', $x['sow'], $thread, $x['ground'], $base) : '',
            self::ridge($planting, $scale, $base, $height, $ripening),
            \sprintf('M%s %sV%sL%s %sV%sZ', $x['ready'], $base, $top, $x['clear'], round($base - $height * ($stock ? 0.55 : 0.25), 1),
                $base),
            self::notches($weeks, $planting, $scale, $base, $height),
            $mark[1].' '.$crop->name,
            round(max($x['ground'], 0) + 3, 1),
            round($base - 1.6, 1),
            $flag,
            $planting,
            $crop,
            $piece->bed,
            $planting->bedStart->number,
            $height,
            ['x' => $x['start'], 'y' => $top, 'w' => round(max(4.0, $x['clear'] - $x['start']), 1), 'h' => $height],
            null === $covers ? '' : self::hoops($covers, $planting, $scale, $top),
            self::ink($scale, $x['clear'], $base, $top, $height, $steps, $edge, $inNursery ? [$x['sow'], $thread] : null),
            self::weeksOf($serves, $scale),
        );
    }

    /**
     * What is drawn in ink: the cut that ends it, ticks for the steps of making the bed ready, the whisker of early and late, and
     * the dot its nursery thread begins with.
     *
     * @param list<int>                $steps
     * @param array{int, int}|null     $edge
     * @param array{float, float}|null $seed
     */
    private static function ink(Scale $scale, float $clear, float $base, float $top, float $height, array $steps, ?array $edge,
        ?array $seed): string
    {
        $path = \sprintf('M%s %sl4 %s', $clear, $base, -min(6.0, $height));
        foreach ($steps as $day) {
            $path .= $scale->x($day) > 0.0 ? \sprintf('M%s %sv-7', $scale->x($day), $base) : '';
        }
        $path .= null === $edge ? '' : \sprintf('M%s %sv4m0-2H%sm0-2v4', $scale->x($edge[0]), $top, $scale->x($edge[1]));

        return $path.(null === $seed || $seed[0] <= 0.0 ? '' : \sprintf('M%s %sh3v-3h-3z', round($seed[0] - 1.5, 1), round($seed[1] + 1.5,
            1)));
    }

    /**
     * Weeks of the wall it serves, as runs: "12-15 18".
     *
     * @param list<int> $serves
     */
    private static function weeksOf(array $serves, Scale $scale): string
    {
        $weeks = array_unique(array_map(static fn (int $day): int => (int) floor(($day - $scale->first) / 7), $serves));
        sort($weeks);
        $runs = [];
        $from = $to = null;
        foreach (array_filter($weeks, static fn (int $w): bool => $w >= 0 && $w < $scale->weeks) as $week) {
            if (null === $from || $week !== $to + 1) {
                null === $from ?: $runs[] = self::run($from, $to);
                $from = $week;
            }
            $to = $week;
        }

        return implode(' ', null === $from ? $runs : [...$runs, self::run($from, $to)]);
    }

    private static function run(int $from, ?int $to): string
    {
        return $from === $to ? (string) $from : $from.'-'.$to;
    }

    /** Number of the day a move is told by: its sowing, or its planting out once it is sown; empty: it cannot move in time. */
    public function movableDay(): string
    {
        return match (HandChange::movableDay($this->planting)) {
            'sow' => (string) $this->planting->sow->number,
            'ground' => (string) $this->planting->ground->number,
            default => '',
        };
    }

    /** Whether this label would cover the other's. */
    public function labelMeets(self $other): bool
    {
        return abs($this->labelY - $other->labelY) < 9.0 && $this->labelX < $other->labelEnd() && $other->labelX < $this->labelEnd();
    }

    public function labelEnd(): float
    {
        return $this->labelX + self::LETTER * mb_strlen($this->label);
    }

    private static function ridge(Planting $planting, Scale $scale, float $base, float $height, ?Ripening $ripening): string
    {
        $path = '';
        $at = [0.0, 0.0];
        foreach (self::rise($planting, $ripening) as [$day, $share]) {
            // Steps from point to point: a third shorter than places, and there are thousands of them.
            $next = [$scale->x($day), round($base - $height * $share, 1)];
            $path .= '' === $path ? \sprintf('M%s %sl', ...$next) : round($next[0] - $at[0], 1).' '.round($next[1] - $at[1], 1).' ';
            $at = $next;
        }

        return str_replace(' -', '-', rtrim($path)).'V'.$base.'Z';
    }

    /** The soil line under all of it, and the run in which the bed is made ready standing on it, to be hatched. */
    private static function soil(float $start, float $ground, float $clear, float $base, float $high): string
    {
        return $ground - $start > 0.5 ? \sprintf('M%s %sv-%sH%sV%sM%s %sH%s', $start, $base, $high, $ground, $base, $start, $base, $clear)
            : \sprintf('M%s %sH%s', $start, $base, $clear);
    }

    /**
     * A ridge rises with the development made by then, so that a slow autumn looks slow; without heat and light, evenly.
     *
     * @return list<array{int, float}> day numbers, and the share of the way from ground to ready
     */
    public static function rise(Planting $planting, ?Ripening $ripening): array
    {
        $from = $planting->ground->number;
        $to = max($from + 1, $planting->ready->number);
        $whole = $ripening?->counted($from, $to) ?? 0.0;
        $steps = $whole > 0.0 ? self::STEPS : 4;
        $points = [];
        for ($step = 0; $step <= $steps; ++$step) {
            $day = (int) round($from + ($to - $from) * $step / $steps);
            $points[] = [$day, $whole > 0.0 && null !== $ripening ? $ripening->counted($from, $day) / $whole : $step / $steps];
        }

        return $points;
    }

    /** Covers put on for a time, above the crop: a row of hoops, or a flat line for a cover laid on it. */
    private static function hoops(CoverCalendar $covers, Planting $planting, Scale $scale, float $top): string
    {
        $path = '';
        foreach ($covers->spans as $span) {
            $from = max(0.0, $scale->x(max($span['from'], $planting->ground->number)));
            $wide = $scale->x(min($span['to'], $planting->clear->number) + 1) - $from;
            if ($wide < 1.0) {
                continue;
            }
            $hoops = max(1, (int) floor($wide / self::HOOP));
            $step = round($wide / $hoops, 2);
            $y = round(max(4.0, $top + 1.0), 1);
            $path .= \sprintf('M%s %s', $from, $y).(Cover::RowCover === $span['cover'] ? \sprintf('h%s', round($wide, 1))
                : str_repeat(\sprintf('q%s -6 %s 0', round($step / 2, 2), $step), $hoops));
        }

        return $path;
    }

    /**
     * A notch for each week of harvest, as one path.
     *
     * @param array<int, int> $weeks
     */
    private static function notches(array $weeks, Planting $planting, Scale $scale, float $base, float $height): string
    {
        $most = [] === $weeks ? 0 : max($weeks);
        $path = '';
        foreach ($weeks as $monday => $units) {
            $from = $scale->x(max($monday, $planting->ready->number));
            $to = $scale->x(min($monday + 7, $planting->clear->number + 1));
            if ($units > 0 && $to - $from > 0.3) {
                $path .= \sprintf('M%s %sv%sh%sV%sz', round($from + 0.4, 1), $base, -round(max(2.0, $height * $units / $most), 1),
                    round(max(1.2, $to - $from - 0.8), 1), $base);
            }
        }

        return $path;
    }
}
