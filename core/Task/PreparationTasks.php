<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Making beds ready, step by step. What a wet spell may cost is the reserve of the recipe. */
final readonly class PreparationTasks implements TaskSource
{
    private const EARLY = 2;

    public function tasks(Site $site, Period $due): array
    {
        $leads = new Leads($site->garden);
        $tasks = [];
        foreach ($site->garden->plantings as $planting) {
            if ($site->recipes->has($planting->recipe) && !$due->last()->isBefore($planting->bedStart)
                && !$planting->ground->isBefore($due->start)) {
                array_push($tasks, ...$this->of($site, $leads, $planting, $due));
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function of(Site $site, Leads $leads, Planting $planting, Period $due): array
    {
        $recipe = $site->recipes->get($planting->recipe);
        $reserve = $leads->reserve($recipe, $planting->ground);
        $steps = $leads->dated($recipe, $planting);
        $begun = $site->noted($planting, Happening::Begun)[0] ?? null;
        $isIn = \in_array($planting->standing, [Standing::Growing, Standing::Cleared], true);
        $tasks = [];
        foreach ($steps as $n => $step) {
            if (!$due->contains($step->day)) {
                continue;
            }
            $next = ($steps[$n + 1] ?? null)->day ?? $planting->ground;
            $last = $step->day->plus(max(0, min($reserve + 1, $next->since($step->day) - 1)));
            $done = 0 === $n ? $begun : null;
            $tasks[] = $site->ofPlanting($planting, TaskKind::Prepare, 'prepare/'.($n + 1), $step->day, $done ?? ($isIn ? $step->day
                : null), null === $done, $step->hours->value, self::first($planting, $step->day), $last, $step->step->name,
                $step->step->tool, $step->step->caution, bears: $step->step->needsDry ? Bears::Dry : Bears::Any);
        }

        return $tasks;
    }

    private static function first(Planting $planting, Day $day): Day
    {
        $first = $day->plus(-self::EARLY);

        return $first->isBefore($planting->bedStart) ? $planting->bedStart : $first;
    }
}
