<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Tools;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\CareStep;
use JollyFurrow\Work\WeedSize;

/** Care of what stands: weed passes, thinning, hilling, strings, side shoots, and by own rules. */
final readonly class CareTasks implements TaskSource
{
    private const WEED = ['weed-pass', 'rake-after-cut'];
    /** Days after a count above the grower's threshold it is looked at again (common practice, no source). */
    public const LOOK_AGAIN = 3;
    private const MOST_LOOKS = 9;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->plantings as $planting) {
            if (!$due->last()->isBefore($planting->ground) && !$planting->clear->isBefore($due->start)) {
                array_push($tasks, ...$this->of($site, $planting, $due));
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function of(Site $site, Planting $planting, Period $due): array
    {
        $steps = $site->care->of($site->started($planting));
        $tasks = [];
        foreach ($steps as $step) {
            if ($due->contains($step->day)) {
                $tasks[] = $this->task($site, $planting, $step, $steps);
            }
            array_push($tasks, ...null === $step->rule?->threshold ? [] : $this->again($site, $planting, $step, $step->rule->threshold,
                $due));
        }

        return $tasks;
    }

    /** @return list<Task> another look some days after each count that was too high */
    private function again(Site $site, Planting $planting, CareStep $step, float $most, Period $due): array
    {
        $tasks = [];
        $last = $site->counted($planting, $step->step);
        for ($n = 1; null !== $last && $last->count > $most && $n <= self::MOST_LOOKS; ++$n) {
            $day = $last->day->plus(self::LOOK_AGAIN);
            $id = $step->step.'/again-'.$n;
            $last = $site->counted($planting, $id);
            if ($due->contains($day)) {
                $tasks[] = $site->ofPlanting($planting, TaskKind::Care, $id, $day, hours: $step->hours, name: $step->name,
                    tool: $step->tool, threshold: $most);
            }
        }

        return $tasks;
    }

    /** @param list<CareStep> $steps all of the planting, by day */
    private function task(Site $site, Planting $planting, CareStep $step, array $steps): Task
    {
        $isWeed = \in_array(self::rule($step), self::WEED, true);
        $kind = $isWeed ? TaskKind::Weed : TaskKind::Care;
        $isDry = $isWeed || ($step->rule->isOnBareSoil ?? false);
        $size = $isWeed ? WeedSize::after($this->grownFor($site, $planting, $step, $steps)) : null;
        $isOver = Standing::Cleared === $planting->standing;
        $tool = $size?->tool($step->tool) ?? $step->tool;

        return $site->ofPlanting($planting, $kind, $step->step, $step->day, $isOver ? $step->day : null, $isOver,
            $step->hours * ($size?->hours() ?? 1.0), name: $step->name, tool: $tool, caution: Tools::caution($tool),
            isTakenOver: null !== $this->next($step, $steps, $site->garden->today), weeds: $size, bears: $isDry ? Bears::Dry : Bears::Any,
            threshold: $step->rule?->threshold);
    }

    /**
     * Days the weeds had since a pass nobody did, back to the last one that was ticked. Where nobody ticks weed passes at all,
     * those before are taken as done.
     *
     * @param list<CareStep> $steps
     */
    private function grownFor(Site $site, Planting $planting, CareStep $step, array $steps): int
    {
        $since = $step->day;
        foreach ($site->ticksWeeds() ? array_reverse($steps) : [] as $before) {
            if ($before->day->isBefore($since) && self::rule($before) === self::rule($step)) {
                if ($site->isTicked($planting, $before->step)) {
                    break;
                }
                $since = $before->day;
            }
        }

        return max(0, $site->garden->today->since($since), $step->day->since($since));
    }

    /**
     * The next of the same rule, once its day has come.
     *
     * @param list<CareStep> $steps
     */
    private function next(CareStep $step, array $steps, Day $today): ?CareStep
    {
        foreach ($steps as $other) {
            if ($step->day->isBefore($other->day) && !$today->isBefore($other->day) && self::rule($other) === self::rule($step)) {
                return $other;
            }
        }

        return null;
    }

    private static function rule(CareStep $step): string
    {
        return explode('/', $step->step)[0];
    }
}
