<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** What became of a task on a day, as somebody ticked it. */
final readonly class Mark
{
    /**
     * @param Length|null $length  so much of it, where it is a part
     * @param int|null    $minutes it took, all hands together
     * @param string      $who     by name; empty: not said
     * @param Day|null    $until   the day it is put off to
     * @param float|null  $count   what was counted, where the task asks for a count
     */
    public function __construct(
        public TaskId $task,
        public MarkKind $kind,
        public Day $day,
        public ?Length $length = null,
        public ?int $minutes = null,
        public string $who = '',
        public string $words = '',
        public ?Day $until = null,
        public ?float $count = null,
    ) {
    }
}
