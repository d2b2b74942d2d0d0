<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Method;
use JollyFurrow\Diary\About;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** What the day and its weather ask for: the daily round, water, heat, a look after a storm. */
final readonly class DayTasks implements TaskSource
{
    /** What was planted out is looked after with water for so many days (common practice, no source). */
    private const WATERED = 6;
    /** The slowest come up within so many days. */
    private const COMES_UP = 42;
    /** So much rain, and nobody needs to water what is coming up, mm. */
    private const WATERS = 5.0;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        $thirsty = $this->thirsty($site, $due);
        for ($day = $due->start; $day->isBefore($due->end); $day = $day->plus(1)) {
            array_push($tasks, ...$this->round($site, $day), ...$this->water($site, $day, $thirsty), ...$this->heat($site, $day),
                ...$this->storm($site, $day));
        }

        return $tasks;
    }

    /** @return list<Task> tunnels and covers, several times a day */
    private function round(Site $site, Day $day): array
    {
        $isUnderRoof = static fn (Planting $p): bool => PlaceType::Field !== $p->place && $p->ground->isBefore($day)
            && !$p->clear->isBefore($day);
        $roofs = $site->garden->plantings->where($isUnderRoof)->count();
        $covers = array_filter($site->garden->protections, static fn ($p): bool => $p->days->contains($day));

        return 0 === $roofs && [] === $covers ? [] : [$site->ofPlace(TaskKind::Round, About::Garden, '', 'round/'.$day->iso(), $day)];
    }

    /**
     * @param list<array{Planting, Day}> $thirsty
     *
     * @return list<Task>
     */
    private function water(Site $site, Day $day, array $thirsty): array
    {
        if ($site->weather->rain($day->plus(-1)) >= self::WATERS || $site->weather->rain($day) >= self::WATERS) {
            return [];
        }
        $beds = [];
        foreach ($thirsty as [$planting, $until]) {
            if ($planting->ground->isBefore($day) && $day->isBefore($until)) {
                array_push($beds, ...Site::bedsOf($planting));
            }
        }

        return [] === $beds ? [] : [$site->ofPlace(TaskKind::Water, About::Garden, '', 'water/'.$day->iso(), $day,
            beds: array_values(array_unique($beds)))];
    }

    /** @return list<array{Planting, Day}> what was sown and is not up, or was planted out lately; until when */
    private function thirsty(Site $site, Period $due): array
    {
        $thirsty = [];
        foreach ($site->garden->plantings as $planting) {
            if (Standing::Growing !== $planting->standing || $due->last()->isBefore($planting->ground)
                || $planting->ground->isBefore($due->start->plus(-self::COMES_UP))) {
                continue;
            }
            $thirsty[] = [$planting, Method::Sown === $planting->method ? $site->care->up($planting)
                : $planting->ground->plus(self::WATERED)];
        }

        return $thirsty;
    }

    /** @return list<Task> */
    private function heat(Site $site, Day $day): array
    {
        return ($site->weather->noon($day) ?? 0.0) < SoilDays::HOT ? [] : [$site->ofPlace(TaskKind::Heat, About::Garden, '',
            'heat/'.$day->iso(), $day)];
    }

    /** @return list<Task> the day after a deluge or hail */
    private function storm(Site $site, Day $day): array
    {
        $wasDeluge = ($site->weather->measured->rain[$day->number - 1] ?? 0.0) >= SoilDays::DELUGE_MM;

        return !$wasDeluge && !$site->hailed($day->plus(-1)) ? [] : [$site->ofPlace(TaskKind::AfterStorm,
            About::Garden, '', 'after-storm/'.$day->iso(), $day)];
    }
}
