<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Measure\Length;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Time\Day;

/** One line of the list: tasks of one kind in one block, in walking order. */
final readonly class Job
{
    /** What can wait longer than this can be done whenever. Days. */
    private const SOON = 3;

    /**
     * @param non-empty-list<PlacedTask> $tasks
     * @param TaskState                  $state of all of them
     */
    private function __construct(public string $key, public TaskKind $kind, public string $name, public string $block, public Day $day,
        public TaskState $state, public array $tasks)
    {
    }

    /**
     * @param list<PlacedTask>   $tasks
     * @param array<string, int> $order of beds, by name
     *
     * @return list<self> by last day, then by money at stake
     */
    public static function of(array $tasks, array $order): array
    {
        $groups = [];
        foreach ($tasks as $placed) {
            $groups[self::keyOf($placed)][] = $placed;
        }
        $jobs = [];
        foreach ($groups as $key => $group) {
            usort($group, static fn (PlacedTask $a, PlacedTask $b): int => [self::place($a, $order), $a->task->id->text()]
                <=> [self::place($b, $order), $b->task->id->text()]);
            $first = $group[0]->task;
            $jobs[] = new self(hash('xxh64', $key), $first->kind, $first->name, $first->kind->isInNursery() ? '' : $first->block,
                $group[0]->day, $group[0]->state, $group);
        }
        usort($jobs, static fn (self $a, self $b): int => [$a->day->number, $a->last()->number, -$a->cents(), $a->key]
            <=> [$b->day->number, $b->last()->number, -$b->cents(), $b->key]);

        return $jobs;
    }

    private static function keyOf(PlacedTask $placed): string
    {
        $task = $placed->task;

        return implode('|', [$placed->state->value, $placed->day->number, $task->kind->value, $task->name, $task->weeds->value ?? '',
            $task->kind->isInNursery() ? '' : $task->block, $task->kind->isByCrop() ? $task->planting->variety ?? $task->id->text() : '']);
    }

    /** @param array<string, int> $order */
    private static function place(PlacedTask $placed, array $order): int
    {
        return $order[$placed->task->beds[0] ?? ''] ?? 0;
    }

    public function first(): Task
    {
        return $this->tasks[0]->task;
    }

    public function isOpen(): bool
    {
        return TaskState::Open === $this->state;
    }

    /** @return list<string> in walking order */
    public function beds(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (PlacedTask $p): array => $p->task->beds, $this->tasks))));
    }

    public function length(): Length
    {
        return Length::fromMicrometres(array_sum(array_map(fn (PlacedTask $p): int => $this->isOpen() ? $p->toDo->micrometres
            : $p->task->length->micrometres, $this->tasks)));
    }

    public function hours(): float
    {
        return array_sum(array_map(static fn (PlacedTask $p): float => $p->hours, $this->tasks));
    }

    /** It asks for a count. */
    public function asksForACount(): bool
    {
        return $this->kind->asksForACount() || null !== $this->first()->threshold;
    }

    public function units(): float
    {
        return array_sum(array_map(static fn (PlacedTask $p): float => $p->task->units, $this->tasks));
    }

    /** What it costs to leave it, cents. */
    public function cents(): float
    {
        return array_sum(array_map(static fn (PlacedTask $p): float => $p->task->cents, $this->tasks));
    }

    /** The last day that serves all of it. */
    public function last(): Day
    {
        return Day::of(min(array_map(static fn (PlacedTask $p): int => max($p->last->number, $p->isOpen() ? $p->day->number
            : $p->last->number), $this->tasks)));
    }

    /** Its first day has come, and it is not asked anew each day. */
    public function canBeDoneOn(Day $day): bool
    {
        return [] === array_filter($this->tasks, static fn (PlacedTask $p): bool => $day->isBefore($p->task->kind->isOfTheDay()
            ? $p->task->due : $p->task->first));
    }

    public function isLate(): bool
    {
        return [] !== array_filter($this->tasks, static fn (PlacedTask $p): bool => $p->isLate());
    }

    public function isMoved(): bool
    {
        return $this->tasks[0]->isMoved;
    }

    public function isTooWet(): bool
    {
        return $this->tasks[0]->isTooWet;
    }

    public function group(): JobGroup
    {
        $bears = $this->first()->bears;

        return match (true) {
            Bears::Dry === $bears => JobGroup::Dry,
            $this->last()->since($this->day) <= self::SOON => JobGroup::Now,
            Bears::Roof === $bears => JobGroup::Wet,
            default => JobGroup::Whenever,
        };
    }

    /** @return list<string> */
    public function cautions(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (PlacedTask $p): string => $p->task->caution, $this->tasks),
            static fn (string $words): bool => '' !== $words)));
    }
}
