<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;

/** How a bed is made ready: ordered steps counted backwards from the day the crop goes in. */
final readonly class Recipe
{
    /** @param non-empty-list<Step> $steps longest lead first */
    public function __construct(
        public string $key,
        public string $name,
        public string $hatch,
        public bool $spreadsCompost,
        public array $steps,
        public Source $source,
    ) {
    }

    /** Days the bed is taken before planting. */
    public function leadDays(): int
    {
        return max(array_map(static fn (Step $step): int => $step->leadDays, $this->steps));
    }

    public function hoursPer100Metres(): float
    {
        return array_sum(array_map(static fn (Step $step): float => $step->hoursPer100Metres, $this->steps));
    }

    /** @return list<array{day: Day, step: Step, hours: Working}> in the order of work */
    public function datedFor(Day $intoGround, Length $length): array
    {
        return array_map(fn (Step $step): array => [
            'day' => $intoGround->plus(-$step->leadDays),
            'step' => $step,
            'hours' => Working::of(
                $step->name,
                $step->hoursPer100Metres * $length->metres() / 100,
                'h',
                'hours per 100 m of bed x metres / 100',
                'per100 * metres / 100',
                [
                    Input::of('per100', 'hours per 100 m', $step->hoursPer100Metres, 'h', $this->source),
                    Input::of('metres', 'bed metres', $length->metres(), 'm', Source::garden('the planting')),
                ],
                $this->source,
            ),
        ], $this->steps);
    }
}
