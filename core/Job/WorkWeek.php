<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Worker;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
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
