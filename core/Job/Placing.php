<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Measure\Length;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Time\Day;

/**
 * Puts every task on one day: what is done on the day it was done, what is open on the first day that suits it, never before
 * today. Dry work waits for open soil, or is done before the rain where the rain takes all of its time.
 */
final readonly class Placing
{
    /** What nobody did goes off the list so many days after it last would have served. */
    private const LAPSES_AFTER = 7;
    /** Work under a roof that is kept for a wet day. */
    private const KEPT = [TaskKind::Yearly, TaskKind::Own, TaskKind::ThinTrays, TaskKind::PotOn];

    /** @var array<string, list<Mark>> by task */
    private array $marks;

    /** @param list<Mark> $marks */
    public function __construct(private Day $today, private SoilDays $weather, array $marks)
    {
        $byTask = [];
        foreach ($marks as $mark) {
            $byTask[$mark->task->text()][] = $mark;
        }
        $this->marks = $byTask;
    }

    public function place(Task $task): PlacedTask
    {
        $marks = $this->marks[$task->id->text()] ?? [];
        $mark = [] === $marks ? null : $marks[\count($marks) - 1];
        $done = $task->doneOn ?? $task->due;
        $until = MarkKind::Later === $mark?->kind ? $mark->until : null;
        $last = null !== $until && $task->last->isBefore($until) ? $until : $task->last;
        $toDo = self::toDo($task, $marks);
        $hours = $task->length->micrometres > 0 ? $task->hours * $toDo->micrometres / $task->length->micrometres : $task->hours;
        $on = static fn (TaskState $state, Day $day, float $spent): PlacedTask => new PlacedTask($task, $state, $day, $last, $mark, $toDo,
            $spent);

        return match (true) {
            MarkKind::Done === $mark?->kind => $on(TaskState::Done, $mark->day, $task->hours),
            MarkKind::Left === $mark?->kind => $on(TaskState::Left, $mark->day, 0.0),
            null !== $task->doneOn => $on(TaskState::Done, $done, $task->hours),
            $this->isLapsed($task, $last) => $on(TaskState::Lapsed, $task->kind->isOfTheDay() || $task->isTakenOver ? $task->due
                : $last, 0.0),
            default => $this->open($task, $mark, $until ?? $task->due, $last, $toDo, $hours),
        };
    }

    private function isLapsed(Task $task, Day $last): bool
    {
        return match (true) {
            $task->kind->isOfTheDay() => $task->due->isBefore($this->today),
            $task->isTakenOver => $task->due->isBefore($this->today),
            $task->kind->waitsForEver() => false,
            default => $last->plus(self::LAPSES_AFTER)->isBefore($this->today),
        };
    }

    private function open(Task $task, ?Mark $mark, Day $due, Day $last, Length $toDo, float $hours): PlacedTask
    {
        $base = self::later($due, $this->today);
        $day = match (true) {
            Bears::Dry === $task->bears => $this->dry($task, $base, $last),
            \in_array($task->kind, self::KEPT, true) && Bears::Roof === $task->bears => $this->wet($base, $last),
            default => $base,
        };
        $isTooWet = Bears::Dry === $task->bears && !$this->weather->isOpen($day);

        return new PlacedTask($task, TaskState::Open, $day, $last, $mark, $toDo, $hours, !$day->equals($base), $isTooWet);
    }

    /** The first open day in its time; else the last one before it; else as soon as the soil opens. */
    private function dry(Task $task, Day $base, Day $last): Day
    {
        for ($day = $base; !$last->isBefore($day); $day = $day->plus(1)) {
            if ($this->weather->isOpen($day)) {
                return $day;
            }
        }
        $first = self::later($task->first, $this->today);
        for ($day = $base->plus(-1); !$day->isBefore($first); $day = $day->plus(-1)) {
            if ($this->weather->isOpen($day)) {
                return $day;
            }
        }

        return $this->weather->opens($base);
    }

    /** The first wet day it can wait for; else at once. */
    private function wet(Day $base, Day $last): Day
    {
        for ($day = $base; !$last->isBefore($day); $day = $day->plus(1)) {
            if ($this->weather->isRainy($day)) {
                return $day;
            }
        }

        return $base;
    }

    /** @param list<Mark> $marks */
    private static function toDo(Task $task, array $marks): Length
    {
        $done = 0;
        foreach ($marks as $mark) {
            $done += MarkKind::Part === $mark->kind ? $mark->length->micrometres ?? 0 : 0;
        }

        return Length::fromMicrometres(max(0, $task->length->micrometres - $done));
    }

    private static function later(Day $a, Day $b): Day
    {
        return $a->isBefore($b) ? $b : $a;
    }
}
