<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Beds\Unplaced;
use JollyFurrow\Need\Need;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** A drawn-up plan: what to sow where, what is short and why, and what was asked for. */
final readonly class Plan
{
    /**
     * @param list<Planting>                          $kept      plantings that stay as they are
     * @param list<Planting>                          $new
     * @param list<Shortage>                          $shortages
     * @param list<Unplaced>                          $unplaced
     * @param array<string, list<Need>>               $needs     by item
     * @param array<string, list<int>>                $served    units served, by item and need
     * @param array<string, list<array<string, int>>> $from      units by planting, by item and need
     * @param array<string, float>                    $cost      cents by item
     * @param bool                                    $isDrawn   drawn up just now, not only looked at
     */
    public function __construct(
        public Day $drawnOn,
        public array $kept,
        public array $new,
        public array $shortages,
        public array $unplaced,
        public array $needs,
        public array $served,
        public array $from,
        public array $cost,
        public bool $stoppedEarly,
        public bool $isDrawn,
    ) {
    }

    /** @return list<Planting> */
    public function plantings(): array
    {
        return [...$this->kept, ...$this->new];
    }

    /** Share of the promised units from this day on that the plantings serve. */
    public function keptShare(): float
    {
        $wanted = 0;
        foreach ($this->needs as $needs) {
            foreach ($needs as $need) {
                $wanted += $need->day >= $this->drawnOn->number ? $need->units : 0;
            }
        }
        $short = array_sum(array_map(static fn (Shortage $s): int => $s->units, $this->shortages));

        return $wanted > 0 ? 1 - $short / $wanted : 1.0;
    }
}
