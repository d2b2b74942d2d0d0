<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\About;
use JollyFurrow\Feed\FeedDay;
use JollyFurrow\Feed\PlantingFeed;
use JollyFurrow\Land\Bed;
use JollyFurrow\Lime\SoilSigns;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Period;

/** Doses of feeding by stage, lime in autumn, and valves by the week. */
final readonly class SoilTasks implements TaskSource
{
    /** Lime and sulphur want months: they go on in autumn, of the northern half of the world. */
    private const LIMED = '10-15';
    /** A valve of so many mm a week or less is not opened. */
    private const LEAST_LITRES = 1.0;

    public function tasks(Site $site, Period $due): array
    {
        return [...$this->feeding($site, $due), ...$this->lime($site, $due), ...$this->water($site, $due)];
    }

    /** @return list<Task> */
    private function feeding(Site $site, Period $due): array
    {
        if (null === $site->feeding || !$site->feeding->isDone()) {
            return [];
        }
        $tasks = [];
        foreach ($site->feeding->plan()->plantings as $feed) {
            if (!$feed->isNone() && !$feed->planting->clear->isBefore($due->start) && $feed->planting->ground->isBefore($due->end)) {
                array_push($tasks, ...$this->doses($site, $feed, $due));
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function doses(Site $site, PlantingFeed $feed, Period $due): array
    {
        $planting = $feed->planting;
        $late = $site->started($planting)->ground->since($planting->ground);
        $isOver = Standing::Cleared === $planting->standing;
        $tasks = [];
        foreach ($feed->doses() as $n => $dose) {
            $day = $dose->day->plus($late);
            if ($due->contains($day) && $this->isGiven($feed, $n)) {
                $tasks[] = $site->ofPlanting($planting, TaskKind::Feed, $dose->step, $day, $isOver ? $day : null, $isOver,
                    name: $dose->name, isTakenOver: null !== $this->next($feed->doses(), $n, $site->garden->today->plus(-$late)));
            }
        }

        return $tasks;
    }

    private function isGiven(PlantingFeed $feed, int $n): bool
    {
        foreach ($feed->pieces as $piece) {
            if (!$feed->dose($piece, $n)->isNone()) {
                return true;
            }
        }

        return false;
    }

    /** @param list<FeedDay> $doses the next one, once its day has come */
    private function next(array $doses, int $n, Day $today): ?FeedDay
    {
        $next = $doses[$n + 1] ?? null;

        return null !== $next && !$today->isBefore($next->day) ? $next : null;
    }

    /** @return list<Task> by block */
    private function lime(Site $site, Period $due): array
    {
        $on = MonthDay::parse(self::LIMED);
        $on = $site->garden->place->latitude < 0 ? $on->halfAYearLater() : $on;
        $tasks = [];
        foreach ([] === $site->garden->soil->tests ? [] : [$due->start->year(), $due->last()->year()] as $year) {
            $day = $on->in($year);
            if (!$due->contains($day)) {
                continue;
            }
            foreach ($this->limed($site) as $block => $beds) {
                $length = Length::fromMicrometres(array_sum(array_map(static fn (Bed $b): int => $b->length->micrometres, $beds)));
                $tasks[$block.$year] = $site->ofPlace(TaskKind::Lime, About::Block, (string) $block, 'lime/'.$year, $day, (string) $block,
                    array_map(static fn (Bed $b): string => $b->name, $beds), $length,
                    $site->book->of(TaskKind::Lime)->hours($length));
            }
        }

        return array_values($tasks);
    }

    /** @return array<string, list<Bed>> */
    private function limed(Site $site): array
    {
        $blocks = [];
        foreach ($site->garden->bedsInUse() as $bed) {
            if (null !== SoilSigns::lime($site->garden, $site->crops, $bed)) {
                $blocks[$bed->block][] = $bed;
            }
        }

        return $blocks;
    }

    /** @return list<Task> one a week and valve that is to be opened */
    private function water(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->water->weeks ?? [] as $valves) {
            foreach ($valves as $week) {
                if (null !== $week->valve && $week->litres >= self::LEAST_LITRES && $due->contains($week->monday)) {
                    $tasks[] = $site->ofPlace(TaskKind::Irrigate, About::Garden, '', 'valve/'.$week->valve->key.'/'.$week->monday->iso(),
                        $week->monday, hours: $site->book->of(TaskKind::Irrigate)->once * $week->times, name: $week->valve->name);
                }
            }
        }

        return $tasks;
    }
}
