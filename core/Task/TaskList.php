<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Time\Period;

/** All tasks due in a run of days, each once, whoever asks for them. */
final readonly class TaskList
{
    /** @param list<TaskSource> $sources */
    public function __construct(private array $sources)
    {
    }

    public static function usual(): self
    {
        return new self([new PreparationTasks(), new NurseryTasks(), new GroundTasks(), new CareTasks(), new CoverTasks(),
            new HarvestTasks(), new GardenTasks(), new DayTasks(), new FrostTasks()]);
    }

    /** @return list<Task> by day, then by name */
    public function of(Site $site, Period $due): array
    {
        $byId = [];
        foreach ($this->sources as $source) {
            foreach ($source->tasks($site, $due) as $task) {
                $byId[$task->id->text()] ??= $task;
            }
        }
        $tasks = array_values($byId);
        usort($tasks, static fn (Task $a, Task $b): int => [$a->due->number, $a->id->text()] <=> [$b->due->number, $b->id->text()]);

        return $tasks;
    }
}
