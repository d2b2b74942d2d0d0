<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

use JollyFurrow\Working\Source;

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
        public Mulch $mulch = Mulch::None,
    ) {
    }

    /** Days the bed is taken before planting in the warm of the year. */
    public function leadDays(): int
    {
        return max(array_map(static fn (Step $step): int => $step->leadDays, $this->steps));
    }

    public function hoursPer100Metres(): float
    {
        return array_sum(array_map(static fn (Step $step): float => $step->hoursPer100Metres, $this->steps));
    }

    public function wantsDrySoil(): bool
    {
        return [] !== array_filter($this->steps, static fn (Step $step): bool => $step->needsDry);
    }
}
