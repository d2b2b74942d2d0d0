<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Need;

/** One item planned by each school of succession, on beds that nothing else stands on: sowings, bed days, gaps. */
final readonly class SchoolsSideBySide
{
    /**
     * @param int         $days    different days somebody has to sow on
     * @param float       $bedDays bed metres times days
     * @param int         $wanted  market days with a promise
     * @param list<int>   $gaps    market days with something short, as day numbers
     * @param list<array> $sowings
     * @param float       $cost    cents, what is short included
     *
     * @phpstan-param list<Planting> $sowings
     */
    private function __construct(public SuccessionSchool $school, public array $sowings, public int $days, public float $bedDays, public int $wanted, public array $gaps, public float $cost)
    {
    }

    /** @return list<self> empty: nothing of it is promised */
    public static function of(Planner $planner, Garden $garden, string $item): array
    {
        $alone = $garden->with(array_values(array_filter($garden->plantings, static fn (Planting $p): bool => $p->item === $item && Standing::Planned !== $p->standing && Standing::Cleared !== $p->standing)));
        $schools = [];
        foreach (SuccessionSchool::cases() as $school) {
            $plan = $planner->draw($alone, new NoProgress(), Scope::of([$item]), $school);
            $needs = array_values(array_filter($plan->needs[$item] ?? [], static fn (Need $n): bool => $n->units > 0 && $n->day >= $garden->today->number));
            if ([] === $needs) {
                return [];
            }
            $sown = array_values(array_unique(array_map(static fn (Planting $p): int => $p->sow->number, $plan->new)));
            $gaps = array_values(array_unique(array_map(static fn (Shortage $s): int => $s->day->number, array_filter($plan->shortages, static fn (Shortage $s): bool => $s->item === $item && !$s->day->isBefore($garden->today)))));
            sort($gaps);
            $schools[] = new self($school, $plan->new, \count($sown), array_sum(array_map(static fn (Planting $p): float => $p->length()->metres() * $p->occupancy()->days(), $plan->new)), \count(array_unique(array_map(static fn (Need $n): int => $n->day, $needs))), $gaps, $plan->cost[$item] ?? 0.0);
        }

        return $schools;
    }
}
