<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** All tasks due in a run of days, each once, whoever asks for them. */
final readonly class TaskList
{
    /** Days. */
    private const FORGOTTEN = 400;

    /** @param list<TaskSource> $sources */
    public function __construct(private array $sources)
    {
    }

    public static function usual(): self
    {
        return new self([new PreparationTasks(), new NurseryTasks(), new GroundTasks(), new CareTasks(), new SoilTasks(), new CoverTasks(),
            new HarvestTasks(), new StoreTasks(), new GardenTasks(), new DayTasks(), new FrostTasks()]);
    }

    /**
     * What waits for ever and fell due before a day: sown, planted out, lifted or cleared it is not, however long ago.
     *
     * @return list<Task>
     */
    public function forgotten(Site $site, Day $before): array
    {
        $today = $site->garden->today;
        $late = $site->garden->plantings->where(static fn (Planting $p): bool => match ($p->standing) {
            Standing::Planned => $p->sow->isBefore($before) && !$p->isOver($today),
            Standing::InNursery => $p->ground->isBefore($before),
            Standing::Growing => $p->clear->isBefore($before),
            Standing::Cleared => false,
        });

        return 0 === $late->count() ? [] : array_values(array_filter($this->of($site->with($late),
            Period::between($before->plus(-self::FORGOTTEN),
                $before)), static fn (Task $task): bool => $task->kind->waitsForEver() && null === $task->doneOn
                    && null !== $task->planting));
    }

    /** @return list<Task> by day, then by name */
    public function of(Site $site, Period $due): array
    {
        $byId = [];
        foreach ($this->sources as $source) {
            foreach ($source->tasks($site, $due) as $task) {
                $byId[\sprintf('%07d %s', $task->due->number, $task->id->text())] ??= $task;
            }
        }
        ksort($byId, \SORT_STRING);

        return array_values($byId);
    }
}
