<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Method;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Into the ground, and whether it came up. */
final readonly class GroundTasks implements TaskSource
{
    /** Days after it should be up on which the stand is counted, and so many it can still be looked for (common practice, no source). */
    private const COUNTED = 5;
    private const LOOKED_FOR = 7;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->plantings as $planting) {
            if (!$due->last()->isBefore($planting->ground) && !$planting->clear->isBefore($due->start)) {
                array_push($tasks, ...$this->into($site, $planting, $due), ...$this->up($site, $planting));
            }
        }

        return array_values(array_filter($tasks, static fn (Task $task): bool => $due->contains($task->due)));
    }

    /** @return list<Task> */
    private function into(Site $site, Planting $planting, Period $period): array
    {
        $isSown = Method::Sown === $planting->method;
        $note = $site->noted($planting, $isSown ? Happening::Sown : Happening::Planted)[0] ?? null;
        $isIn = \in_array($planting->standing, [Standing::Growing, Standing::Cleared], true);
        $kind = !$isSown ? TaskKind::PlantOut : ($site->crop($planting)->habits->stock->isSeed() ? TaskKind::SowBed
            : TaskKind::PlantStock);
        $due = $isSown || !$planting->isLate($site->garden->today) ? $planting->ground : $site->started($planting)->ground;
        if (!$period->contains($due)) {
            return [];
        }
        $oldest = $site->crop($planting)->stand->greatestAge($planting->ground->since($planting->sow));
        $last = $isSown ? $site->lastSowing($planting) : self::later($due, $planting->sow->plus($oldest));

        return [$site->ofPlanting($planting, $kind, 'ground', $due, $isIn ? $note ?? $planting->ground : null, null === $note,
            last: $last)];
    }

    /** @return list<Task> */
    private function up(Site $site, Planting $planting): array
    {
        if (Method::Sown !== $planting->method) {
            return [];
        }
        $as = $site->started($planting);
        $up = $site->care->up($as);
        $look = $as->ground->plus(intdiv($up->since($as->ground) + 1, 2));
        $noted = $site->noted($planting, Happening::Emerged)[0] ?? $site->noted($planting, Happening::Seen)[0] ?? null;
        $isPast = Standing::Cleared === $planting->standing || $planting->ready->isBefore($site->garden->today);
        $count = $up->plus(self::COUNTED);

        return [
            $site->ofPlanting($planting, TaskKind::LookUp, 'look-up', $look, $noted ?? ($isPast ? $look : null), null === $noted,
                last: $up->plus(self::LOOKED_FOR)),
            ...$site->crop($planting)->habits->stock->isSeed() ? [$site->ofPlanting($planting, TaskKind::CountStand, 'count-stand',
                $count, $isPast ? $count : null, $isPast)] : [],
        ];
    }

    private static function later(Day $a, Day $b): Day
    {
        return $a->isBefore($b) ? $b : $a;
    }
}
