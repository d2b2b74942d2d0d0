<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Mark;
use JollyFurrow\Measure\Length;
use JollyFurrow\Task\Task;
use JollyFurrow\Time\Day;

/** A task on the one day it is done, or was. */
final readonly class PlacedTask
{
    /**
     * @param Day       $last     that still serves; later where it was put off
     * @param Mark|null $mark     the last that was ticked of it
     * @param Length    $toDo     of its length
     * @param float     $hours    for that
     * @param bool      $isMoved  by rain, away from the day it was to be done
     * @param bool      $isTooWet there is no dry day in its time
     */
    public function __construct(public Task $task, public TaskState $state, public Day $day, public Day $last, public ?Mark $mark,
        public Length $toDo, public float $hours, public bool $isMoved = false, public bool $isTooWet = false)
    {
    }

    public function isOpen(): bool
    {
        return TaskState::Open === $this->state;
    }

    /** Its day went by and nobody did it. */
    public function isLate(): bool
    {
        return $this->isOpen() && $this->task->due->isBefore($this->day) && !$this->isMoved;
    }
}
