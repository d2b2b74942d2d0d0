<?php

declare(strict_types=1);

namespace App\Pick;

use App\Books\StoreTables;
use App\Job\Sites;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;

/** The pick list of a garden, against the hours left beside its other work. */
final readonly class PickLists
{
    public function __construct(private Sites $sites, private StoreTables $tables)
    {
    }

    /** @return array{Site, PickList} */
    public function of(string $gardenId): array
    {
        $site = $this->sites->of($gardenId);

        return [$site, PickList::of($site->garden, $site->crops, $this->tables->picking(), WorkWeek::beside(TaskKind::Pick, $site,
            TaskList::usual(), PickList::AHEAD + 1))];
    }

    /** The market day asked for; else the next one something is picked for, else the next. */
    public static function asked(string $text, PickList $list): ?Day
    {
        foreach ($list->markets as $day) {
            if ($day->iso() === $text) {
                return $day;
            }
        }

        return $list->lines[0]->market ?? $list->markets[0] ?? null;
    }
}
