<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

/** One step of a recipe; it begins so many days before the crop goes into the ground, more in spring and in the cold. */
final readonly class Step
{
    /**
     * @param int      $leadDays   days before planting, in the warm of the year
     * @param int|null $leadSpring null: as in the warm
     * @param int|null $leadCold   null: as in spring
     * @param bool     $needsDry   it waits for dry soil
     * @param Kit|null $lays       what is laid on the bed with this step
     * @param Kit|null $lifts      what comes off it again
     */
    public function __construct(
        public string $name,
        public int $leadDays,
        public float $hoursPer100Metres,
        public string $tool,
        public string $condition,
        public string $caution,
        public ?int $leadSpring = null,
        public ?int $leadCold = null,
        public bool $needsDry = false,
        public ?Kit $lays = null,
        public ?Kit $lifts = null,
    ) {
    }

    public function leadIn(BedSeason $season): int
    {
        return match ($season) {
            BedSeason::Warm => $this->leadDays,
            BedSeason::Spring => $this->leadSpring ?? $this->leadDays,
            BedSeason::Cold => $this->leadCold ?? $this->leadSpring ?? $this->leadDays,
        };
    }
}
