<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Time\Period;

/** Where tasks of one kind come from. A new kind of job is a source more, and no change of the list. */
interface TaskSource
{
    /** @return list<Task> due on a day of the period, done or not, each once */
    public function tasks(Site $site, Period $due): array;
}
