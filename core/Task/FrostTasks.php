<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Growth\Cold;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Which beds to cover for the coming night. */
final readonly class FrostTasks implements TaskSource
{
    /** Foretold nights are off by so much, degrees C (own model). */
    private const MARGIN = 1.0;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        for ($day = $due->start; $day->isBefore($due->end); $day = $day->plus(1)) {
            $night = $day->isBefore($site->garden->today) ? null : $site->weather->nightAfter($day);
            if (null === $night) {
                continue;
            }
            foreach ($site->garden->plantings as $planting) {
                $task = self::stands($planting, $day) ? $this->task($site, $planting, $day,
                    $night - $site->garden->settings->rules->hollow) : null;
                $tasks = null === $task ? $tasks : [...$tasks, $task];
            }
        }

        return $tasks;
    }

    private static function stands(Planting $planting, Day $day): bool
    {
        return Standing::Growing === $planting->standing && !$day->isBefore($planting->ground) && !$planting->clear->isBefore($day);
    }

    private function task(Site $site, Planting $planting, Day $day, float $night): ?Task
    {
        $limit = self::bears($site, $planting, $day);
        $over = self::over($site, $planting, $day);
        $under = max($over->floor(), $night + $over->atNight());
        if ($under > $limit + self::MARGIN) {
            return null;
        }
        $helps = $night + max($over->atNight(), $over->under(Cover::RowCover)->atNight()) > max($limit, $under);
        $isReady = !$day->isBefore($planting->ready);

        return !$helps && !$isReady ? null : $site->ofPlanting($planting, TaskKind::Tonight, 'tonight/'.$day->iso(), $day,
            name: $helps ? 'cover' : 'pick', tool: $helps ? 'row cover' : 'hands', bears: Bears::Any);
    }

    /** Degrees C it bears unharmed, as hardened as it is by then. */
    private static function bears(Site $site, Planting $planting, Day $day): float
    {
        $cold = $site->crop($planting)->limits->cold;
        $timing = $site->garden->local();
        $mean = $timing->twoWeeks(Cover::usualOf($planting->place))[$day->number - $timing->weather->first] ?? 0.0;
        $kills = Cold::killsAt($cold->kill, Cold::hardened($mean));

        return null !== $cold->hurt && !$day->isBefore($planting->ready->plus(-14)) ? max($kills, $cold->hurt) : $kills;
    }

    private static function over(Site $site, Planting $planting, Day $day): Cover
    {
        $over = Cover::usualOf($planting->place);
        foreach ($site->garden->protections as $protection) {
            $over = $protection->days->contains($day) && $protection->isOver($planting->key, Site::bedsOf($planting))
                ? $over->under($protection->cover) : $over;
        }

        return $over;
    }
}
