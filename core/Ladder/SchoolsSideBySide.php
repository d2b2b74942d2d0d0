<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Joint\NoProgress;
use JollyFurrow\Need\Need;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Scope;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Promise;

/**
 * What a season promises of one item, planned by each school of succession as if from before the season, on beds that
 * nothing else stands on: sowings, bed days, gaps.
 */
final readonly class SchoolsSideBySide
{
    /** So many days before the season the first sowings may be. */
    private const BEFORE = 75;

    /**
     * @param int         $days    different days somebody has to sow on
     * @param int         $bedDays bed metres times days
     * @param int         $wanted  market days with a promise
     * @param list<int>   $gaps    market days with something short, as day numbers
     * @param list<array> $sowings
     * @param float       $cost    cents, what is short included
     *
     * @phpstan-param list<Planting> $sowings
     */
    private function __construct(public SuccessionSchool $school, public array $sowings, public int $days, public int $bedDays,
        public int $wanted, public array $gaps, public float $cost)
    {
    }

    /** @return list<self> empty: nothing of it is promised */
    public static function of(Planner $planner, Garden $garden, string $item): array
    {
        $season = GrowingSeason::on($garden->place->latitude, $garden->today)->days();
        $alone = $garden->with([], $season->start->plus(-self::BEFORE))->promising(array_values(array_filter($garden->promises,
            static fn (Promise $p): bool => $season->contains($p->day))));
        $schools = [];
        foreach (SuccessionSchool::cases() as $school) {
            $plan = $planner->draw($alone, new NoProgress(), Scope::of([$item]), $school);
            $needs = array_values(array_filter($plan->needs[$item] ?? [], static fn (Need $n): bool => $n->units > 0));
            if ([] === $needs) {
                return [];
            }
            $sown = array_values(array_unique(array_map(static fn (Planting $p): int => $p->sow->number, $plan->new)));
            $gaps = array_values(array_unique(array_map(static fn (Shortage $s): int => $s->day->number, array_filter($plan->shortages,
                static fn (Shortage $s): bool => $s->item === $item))));
            sort($gaps);
            $schools[] = new self($school, $plan->new, \count($sown),
                (int) round(array_sum(array_map(static fn (Planting $p): float => $p->length()->metres() * $p->occupancy()->days(),
                    $plan->new))), \count(array_unique(array_map(static fn (Need $n): int => $n->day, $needs))), $gaps, $plan->cost[$item]
                    ?? 0.0);
        }

        return $schools;
    }
}
