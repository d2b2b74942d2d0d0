<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\About;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Covers put on and taken off. */
final readonly class CoverTasks implements TaskSource
{
    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->protections as $protection) {
            foreach ([[TaskKind::CoverOn, $protection->days->start], [TaskKind::CoverOff, $protection->days->last()]] as [$kind, $day]) {
                $tasks[] = $due->contains($day) ? self::task($site, $protection, $kind, $day) : null;
            }
        }

        return array_values(array_filter($tasks));
    }

    private static function task(Site $site, Protection $protection, TaskKind $kind, Day $day): ?Task
    {
        $step = $kind->value.'/'.$protection->days->start->iso();
        $name = $protection->cover->value;
        if ('' === $protection->planting) {
            $bed = $site->beds[$protection->bed] ?? null;

            return null === $bed ? null : $site->ofPlace($kind, About::Bed, $bed->name, $step, $day, $bed->block, [$bed->name],
                $bed->length, name: $name);
        }
        $planting = $site->garden->plantings->get($protection->planting);
        $isOver = Standing::Cleared === $planting?->standing;

        return null === $planting ? null : $site->ofPlanting($planting, $kind, $step, $day, $isOver ? $day : null, $isOver, name: $name);
    }
}
