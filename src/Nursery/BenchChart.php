<?php

declare(strict_types=1);

namespace App\Nursery;

use JollyFurrow\Bench\BenchLoad;

/** Trays by week as a ridge on the soil line: mat, bench, hardening; and the room there is as a line. */
final readonly class BenchChart
{
    private const WEEK = 44;
    private const SOIL = 130;
    private const HIGH = 108;
    private const LEFT = 40;

    /**
     * @param list<array{x: int, bars: list<array{kind: string, y: float, h: float, trays: float}>, label: string, isOver: bool, index: int}> $weeks
     * @param list<array{y: float, trays: int}>                                                                                               $scale
     */
    private function __construct(public array $weeks, public array $scale, public ?float $room, public int $width, public int $soil,
        public int $left, public int $step)
    {
    }

    public static function of(BenchLoad $load): self
    {
        $room = $load->room->bench;
        $most = max(4.0, (float) $room, ...array_map(static fn ($w): float => $w->onMat + $w->onBench + $w->hardening, $load->weeks));
        $weeks = [];
        foreach ($load->weeks as $n => $week) {
            $bars = [];
            $below = 0.0;
            foreach (['mat' => $week->onMat, 'bench' => $week->onBench, 'out' => $week->hardening] as $kind => $trays) {
                $height = self::HIGH * $trays / $most;
                $bars = $trays > 0.0 ? [...$bars, ['kind' => $kind, 'y' => self::SOIL - $below - $height, 'h' => $height,
                    'trays' => $trays]]
                    : $bars;
                $below += $height;
            }
            $weeks[] = ['x' => self::LEFT + $n * self::WEEK, 'bars' => $bars, 'label' => (string) $week->monday->week()->number,
                'isOver' => $week->over > 0.0 || $week->overMat > 0.0, 'index' => $n];
        }
        $step = $most > 60 ? 40 : ($most > 24 ? 20 : ($most > 10 ? 5 : 2));
        $scale = [];
        for ($trays = $step; $trays <= $most; $trays += $step) {
            $scale[] = ['y' => self::SOIL - self::HIGH * $trays / $most, 'trays' => $trays];
        }

        return new self($weeks, $scale, 0 === $room ? null : self::SOIL - self::HIGH * $room / $most,
            self::LEFT + self::WEEK * \count($weeks), self::SOIL, self::LEFT, self::WEEK);
    }
}
