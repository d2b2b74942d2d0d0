<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Pick\PickTable;

/** What ships of every kind of task, and the jobs of the year. */
final readonly class TaskBook
{
    /**
     * @param array<string, TaskFacts> $facts   by kind, every kind
     * @param list<YearlyJob>          $yearly
     * @param list<string>             $soaked  items whose seed is soaked before it is sown
     * @param PickTable|null           $picking how fast each crop is picked and made ready; null: by the kind's own measure
     */
    public function __construct(private array $facts, public array $yearly, public array $soaked = [],
        private ?PickTable $picking = null)
    {
    }

    public function of(TaskKind $kind): TaskFacts
    {
        return $this->facts[$kind->value] ?? throw new \LogicException(\sprintf('Nothing is known of "%s".', $kind->value));
    }

    /** Hours to pick so many units and make them ready for sale; null: nothing is known of the crop. */
    public function pickHours(Crop $crop, float $units): ?float
    {
        return null === $this->picking ? null : $this->of(TaskKind::Pick)->once + $units * $this->picking->of($crop)->hours();
    }
}
