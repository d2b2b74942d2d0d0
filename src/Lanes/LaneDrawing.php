<?php

declare(strict_types=1);

namespace App\Lanes;

use App\Wall\Scale;

/** A lane as it stands below the beds: a ridge by week, the room there is as a line, what is over it hatched. */
final readonly class LaneDrawing
{
    public const HEIGHT = 34.0;
    private const TOP = 4.0;
    private const SOIL = 31.0;

    /** @param list<array{x: float, w: float, y: float, h: float, over: float, week: LaneWeek}> $bars over: pixels of it above the room */
    private function __construct(public array $bars, public string $room, public float $most)
    {
    }

    /** @param list<LaneWeek> $weeks */
    public static function of(array $weeks, Scale $scale): self
    {
        $shown = array_values(array_filter($weeks, static fn (LaneWeek $w): bool => $scale->shows($w->monday->number, $w->monday->number)));
        $most = max([1e-9, ...array_map(static fn (LaneWeek $w): float => max($w->amount, $w->room ?? 0.0), $shown)]);
        $pixels = static fn (float $amount): float => (self::SOIL - self::TOP) * $amount / $most;
        $bars = [];
        $line = '';
        foreach ($shown as $week) {
            $x = $scale->x($week->monday->number);
            $high = $pixels($week->amount);
            $bars[] = ['x' => round($x + 1, 1), 'w' => round($scale->week - 2, 1), 'y' => round(self::SOIL - $high, 1),
                'h' => round($high, 1), 'over' => $week->isOver() ? round($high - $pixels($week->room ?? 0.0), 1) : 0.0, 'week' => $week];
            if (null !== $week->room) {
                $line .= \sprintf('%s%s %sH%s', '' === $line ? 'M' : 'L', $x, round(self::SOIL - $pixels($week->room), 1),
                    round($x + $scale->week, 1));
            }
        }

        return new self($bars, $line, $most);
    }
}
