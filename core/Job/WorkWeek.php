<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Worker;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Week;

/** The work of one week, day by day. */
final readonly class WorkWeek
{
    /** What fell due so many days before may still be open. */
    private const BACK = 35;
    /** So far ahead nothing that is late now bears on it. */
    private const NEAR = 14;
    private const AHEAD = 7;

    /** @param non-empty-list<WorkDay> $days Monday to Sunday */
    private function __construct(public Week $week, public Day $today, public array $days)
    {
    }

    public static function of(Site $site, TaskList $list, Week $week): self
    {
        $today = $site->garden->today;
        $monday = $week->monday();
        $isNear = $monday->since($today) <= self::NEAR;
        $from = ($isNear && $today->isBefore($monday) ? $today : $monday)->plus($isNear ? -self::BACK : -self::NEAR);
        $tasks = [...$isNear ? $list->forgotten($site, $from) : [], ...$list->of($site, Period::between($from,
            $monday->plus(7 + self::AHEAD)))];

        return self::from($site, $tasks, $week);
    }

    /**
     * Hours left beside all other work from today on, day by day.
     *
     * @return list<float|null> null: nobody is named who works
     */
    public static function beside(TaskKind $work, Site $site, TaskList $list, int $days): array
    {
        $today = $site->garden->today;
        $from = $today->plus(-self::BACK);
        $tasks = array_values(array_filter([...$list->forgotten($site, $from), ...$list->of($site, Period::between($from,
            $today->plus($days + self::AHEAD)))], static fn (Task $task): bool => $task->kind !== $work));
        $free = [];
        for ($week = $today->week(); \count($free) < $days; $week = $week->monday()->plus(7)->week()) {
            foreach (self::from($site, $tasks, $week)->days as $day) {
                if (!$day->day->isBefore($today) && \count($free) < $days) {
                    $free[] = null === $day->hands ? null : max(0.0, $day->hands - $day->hours());
                }
            }
        }

        return $free;
    }

    /**
     * Hours still to do in this week and the next ones, each task on the day it is placed.
     *
     * @return list<float>
     */
    public static function hoursAhead(Site $site, TaskList $list, int $weeks): array
    {
        $today = $site->garden->today;
        $monday = $today->week()->monday();
        $from = $today->plus(-self::BACK);
        $placing = new Placing($today, $site->weather, $site->garden->diary->marks);
        $hours = array_fill(0, $weeks, 0.0);
        foreach ([...$list->forgotten($site, $from), ...$list->of($site, Period::between($from, $monday->plus(7 * $weeks
            + self::AHEAD)))] as $task) {
            $placed = $placing->place($task);
            $week = intdiv(max(0, $placed->day->since($monday)), 7);
            if ($placed->isOpen() && isset($hours[$week]) && !$placed->day->isBefore($monday)) {
                $hours[$week] += $placed->hours;
            }
        }

        return array_values($hours);
    }

    /** @param list<Task> $tasks all that can fall into the week */
    public static function from(Site $site, array $tasks, Week $week): self
    {
        $placing = new Placing($site->garden->today, $site->weather, $site->garden->diary->marks);
        $byDay = [];
        foreach ($tasks as $task) {
            $placed = $placing->place($task);
            $byDay[$placed->day->number][] = $placed;
        }
        $order = array_flip(array_keys($site->beds));
        $days = [];
        for ($n = 0; $n < 7; ++$n) {
            $day = $week->monday()->plus($n);
            $days[] = new WorkDay($day, Job::of($byDay[$day->number] ?? [], $order), self::handsOn($site->garden->diary->workers, $day));
        }

        return new self($week, $site->garden->today, $days);
    }

    /** @param list<Worker> $workers */
    private static function handsOn(array $workers, Day $day): ?float
    {
        return [] === $workers ? null : array_sum(array_map(static fn (Worker $w): float => $w->hoursOn($day), $workers));
    }

    public function day(Day $day): ?WorkDay
    {
        return $this->days[$day->since($this->week->monday())] ?? null;
    }

    /** @return list<Job> of all days */
    public function jobs(): array
    {
        return array_merge(...array_map(static fn (WorkDay $day): array => $day->jobs, $this->days));
    }

    /** @return list<Job> still to do */
    public function open(): array
    {
        return array_values(array_filter($this->jobs(), static fn (Job $job): bool => $job->isOpen()));
    }

    public function job(string $key): ?Job
    {
        return array_values(array_filter($this->jobs(), static fn (Job $job): bool => $job->key === $key))[0] ?? null;
    }

    public function hours(): float
    {
        return array_sum(array_map(static fn (WorkDay $day): float => $day->hours(), $this->days));
    }

    public function hands(): ?float
    {
        return null === $this->days[0]->hands ? null : array_sum(array_map(static fn (WorkDay $day): float => $day->hands ?? 0.0,
            $this->days));
    }
}
