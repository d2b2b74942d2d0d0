<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Container;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Seed, tubers and cloves made ready; trays sown, taken off the mat, counted, thinned, potted on and hardened. */
final readonly class NurseryTasks implements TaskSource
{
    /** Days after they are up (common practice, no source). */
    private const COUNTED = 4;
    private const THINNED = 7;
    /** Days before planting out from which they are hardened; less for what is short in its tray (common practice, no source). */
    private const HARDENED = 7;
    private const HARDENED_SOON = 5;
    private const SHORT_IN_TRAY = 26;
    /** What stands longer than this in the nursery is potted on half way (common practice, no source). */
    private const POTTED_ON = 46;
    /** A seedbed's shade is loosened in the third week and taken off in the fourth (common practice, no source). */
    private const SHADE_LESS = 14;
    private const SHADE_OFF = 21;
    /** Tubers are set to sprout so long before planting (common practice, no source). */
    private const SPROUTED = 28;
    /** Hours it takes to put seed into water. */
    private const SOAKING_HOURS = 0.1;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->plantings as $planting) {
            if ($planting->ground->isBefore($due->start->plus(-self::SPROUTED))
                || $due->last()->isBefore($planting->sow->plus(-2 * self::SPROUTED))) {
                continue;
            }
            $crop = $site->crop($planting);
            array_push($tasks, ...$this->stock($site, $planting, $crop), ...Method::Transplanted === $planting->method
                ? $this->trays($site, $planting, $crop, $due) : []);
        }

        return array_values(array_filter($tasks, static fn (Task $task): bool => $due->contains($task->due)));
    }

    /** @return list<Task> */
    private function stock(Site $site, Planting $planting, Crop $crop): array
    {
        $stock = $crop->habits->stock;
        $days = $stock->isSeed() ? [] : [1 => max(1, $crop->habits->stockAhead)];
        $days += Stock::Piece === $stock ? [2 => self::SPROUTED] : [];
        $isOut = Standing::Planned !== $planting->standing;
        $tasks = $this->soaked($site, $planting, $isOut);
        foreach ($days as $n => $before) {
            $day = $planting->sow->plus(-$before);
            $tasks[] = $site->ofPlanting($planting, TaskKind::ReadyStock, 'stock/'.$n, $day, $isOut ? $day : null, $isOut,
                name: $stock->value.'/'.(2 === $n ? 'sprout' : 'ready'), last: $planting->sow->plus(1 === $n ? 0 : -self::SPROUTED / 2));
        }

        return $tasks;
    }

    /** @return list<Task> seed put into water the day before, but never what is sold pelleted, primed or treated */
    private function soaked(Site $site, Planting $planting, bool $isOut): array
    {
        $day = $planting->sow->plus(-1);

        return !$site->isSoaked($planting) ? [] : [$site->ofPlanting($planting, TaskKind::ReadyStock, 'stock/3', $day, $isOut ? $day : null,
            $isOut, self::SOAKING_HOURS, name: 'seed/soak', last: $planting->sow, cents: 0.0)];
    }

    /** @return list<Task> */
    private function trays(Site $site, Planting $planting, Crop $crop, Period $due): array
    {
        $trays = Trays::of($crop, $planting, $site->beds);
        $sown = Standing::Planned === $planting->standing ? null : $site->noted($planting, Happening::Sown)[0] ?? $planting->sow;
        $isOut = \in_array($planting->standing, [Standing::Growing, Standing::Cleared], true);
        $as = $site->started($planting);
        $up = $as->sow->plus($trays->daysUp($site->garden->settings->rules->benches));
        $hardens = $as->ground->since($as->sow) <= self::SHORT_IN_TRAY ? self::HARDENED_SOON : self::HARDENED;
        $days = ['count-trays' => [TaskKind::CountTrays, $up->plus(self::COUNTED)]];
        $days += Container::Seedbed === $trays->container ? ['shade-less' => [TaskKind::ShadeLess, $as->sow->plus(self::SHADE_LESS)],
            'shade-off' => [TaskKind::ShadeOff, $as->sow->plus(self::SHADE_OFF)]]
            : ['harden' => [TaskKind::Harden, $as->ground->plus(-$hardens)]];
        $days += $trays->areOnMat ? ['off-mat' => [TaskKind::OffMat, $up]] : [];
        $days += $trays->areThinned ? ['thin-trays' => [TaskKind::ThinTrays, $up->plus(self::THINNED)]] : [];
        $days += $as->ground->since($as->sow) > self::POTTED_ON && $crop->tender
            && Container::Seedbed !== $trays->container ? ['pot-on' => [TaskKind::PotOn,
            $as->sow->plus(intdiv($as->ground->since($as->sow), 2))]] : [];
        $tasks = [$site->ofPlanting($planting, TaskKind::SowTrays, 'sow', $planting->sow, $sown,
            [] === $site->noted($planting, Happening::Sown), last: $due->contains($planting->sow) ? $site->lastSowing($planting) : null,
            name: Container::Cells === $trays->container ? '' : $trays->container->value, trays: $trays->trays)];
        foreach ($days as $step => [$kind, $day]) {
            if (!$as->ground->isBefore($day) && !$day->isBefore($as->sow)) {
                $tasks[] = $site->ofPlanting($planting, $kind, $step, $day, $isOut ? $day : null, $isOut, last: self::upTo($as->ground,
                    $day->plus($site->book->of($kind)->wait)), trays: $trays->trays);
            }
        }

        return $tasks;
    }

    private static function upTo(Day $most, Day $day): Day
    {
        return $most->isBefore($day) ? $most : $day;
    }
}
