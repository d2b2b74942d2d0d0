<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

/** What ships of every kind of task, and the jobs of the year. */
final readonly class TaskBook
{
    /**
     * @param array<string, TaskFacts> $facts  by kind, every kind
     * @param list<YearlyJob>          $yearly
     * @param list<string>             $soaked items whose seed is soaked before it is sown
     */
    public function __construct(private array $facts, public array $yearly, public array $soaked = [])
    {
    }

    public function of(TaskKind $kind): TaskFacts
    {
        return $this->facts[$kind->value] ?? throw new \LogicException(\sprintf('Nothing is known of "%s".', $kind->value));
    }
}
