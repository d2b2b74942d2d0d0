<?php

declare(strict_types=1);

namespace App\Water;

use JollyFurrow\Irrigation\ValveWeek;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Time\Day;

/** Litres by week, valve upon valve on the soil line, against what the source gives. */
final readonly class WaterChart
{
    public const SOIL = 150;
    private const HIGH = 120;
    public const LEFT = 64;
    private const STEP = 84;

    /**
     * @param list<array{x: int, monday: Day, litres: float, isOver: bool,
     *     bars: list<array{y: float, h: float, n: int, name: string}>}> $weeks
     * @param list<array{y: float, litres: float}> $scale
     */
    private function __construct(public array $weeks, public array $scale, public ?float $source, public int $width)
    {
    }

    public static function of(WaterPlan $plan): self
    {
        $mondays = array_map(Day::of(...), array_keys($plan->weeks));
        $most = max(1.0, $plan->source ?? 0.0, ...array_map($plan->litres(...), $mondays));
        $times = self::HIGH / $most;
        $weeks = [];
        foreach ($mondays as $i => $monday) {
            $y = (float) self::SOIL;
            $bars = [];
            foreach ($plan->week($monday) as $n => $valve) {
                $h = $valve->litres * $times;
                $y -= $h;
                $bars = $h < 0.5 ? $bars : [...$bars, ['y' => $y, 'h' => $h, 'n' => $n % 4, 'name' => self::name($valve)]];
            }
            $weeks[] = ['x' => self::LEFT + self::STEP * $i, 'monday' => $monday, 'litres' => $plan->litres($monday),
                'isOver' => $plan->short($monday) > 0.0, 'bars' => $bars];
        }
        $step = 10 ** floor(log10($most));
        $step = $most / $step < 2 ? $step / 2 : ($most / $step > 6 ? 2 * $step : $step);
        $scale = [];
        for ($l = $step; $l <= $most; $l += $step) {
            $scale[] = ['y' => self::SOIL - $l * $times, 'litres' => $l];
        }

        return new self($weeks, $scale, null === $plan->source ? null : self::SOIL - $plan->source * $times,
            self::LEFT + self::STEP * \count($weeks));
    }

    public static function name(ValveWeek $week): string
    {
        return $week->valve->name ?? 'by hand, no valve';
    }
}
