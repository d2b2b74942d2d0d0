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
    private const BETWEEN = 182;
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

    /**
     * By block: in the autumn after the test, and in goes half a year apart where it is much. Then none until a new test
     * asks for more.
     *
     * @return list<Task>
     */
    private function lime(Site $site, Period $due): array
    {
        $beds = [];
        foreach ([] === $site->garden->soil->tests ? [] : $site->garden->bedsInUse() as $bed) {
            foreach ($this->limed($site, $bed) as $day) {
                if ($due->contains($day)) {
                    $beds[$bed->block.' '.$day->iso()][] = [$bed, $day];
                }
            }
        }

        return array_values(array_map(static function (array $of) use ($site): Task {
            [$bed, $day] = $of[0];
            $length = Length::fromMicrometres(array_sum(array_map(static fn (array $one): int => $one[0]->length->micrometres, $of)));

            return $site->ofPlace(TaskKind::Lime, About::Block, $bed->block, 'lime/'.$day->iso(), $day, $bed->block,
                array_map(static fn (array $one): string => $one[0]->name, $of), $length);
        }, $beds));
    }

    /** @return list<Day> on which a bed is given its lime or sulphur */
    private function limed(Site $site, Bed $bed): array
    {
        $tested = $site->garden->soil->soilOf($bed, $site->garden->today)->phDay;
        if (null === $tested) {
            return [];
        }
        $on = MonthDay::parse(self::LIMED);
        $on = $site->garden->place->latitude < 0 ? $on->halfAYearLater() : $on;
        $first = $on->in($tested->year());
        $first = $first->isBefore($tested) ? $on->in($tested->year() + 1) : $first;
        $goes = SoilSigns::lime($site->garden, $site->crops, $bed)->goes ?? 0;

        return array_map(static fn (int $go): Day => $first->plus($go * self::BETWEEN), 0 === $goes ? [] : range(0, $goes - 1));
    }

    /** @return list<Task> one a week and valve that is to be opened */
    private function water(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->water->weeks ?? [] as $valves) {
            foreach ($valves as $week) {
                if (null !== $week->valve && $week->litres >= self::LEAST_LITRES && $due->contains($week->monday)) {
                    $tasks[] = $site->ofPlace(TaskKind::Irrigate, About::Garden, '', 'valve/'.$week->valve->key.'/'.$week->monday->iso(),
                        $week->monday, hours: $site->book->of(TaskKind::Irrigate)->once * $week->openings(), name: $week->valve->name);
                }
            }
        }

        return $tasks;
    }
}
