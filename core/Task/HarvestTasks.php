<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Looking whether it is ready, picking, lifting, clearing. */
final readonly class HarvestTasks implements TaskSource
{
    /** Days before it should be ready. */
    private const LOOKED = 4;
    /** Where nothing is sold yet, what stands is picked so often, days. */
    private const USUAL_EVERY = 7;
    /** A picking noted so many days off its day is that picking. */
    private const NEAR = 3;

    public function tasks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->plantings as $planting) {
            if (!$due->last()->isBefore($planting->ready->plus(-self::LOOKED)) && !$planting->clear->isBefore($due->start)) {
                array_push($tasks, ...$this->of($site, $planting, $due));
            }
        }

        return array_values(array_filter($tasks, static fn (Task $task): bool => $due->contains($task->due)));
    }

    /** @return list<Task> */
    private function of(Site $site, Planting $planting, Period $due): array
    {
        $crop = $site->crop($planting);
        $as = $site->started($planting);
        $isOver = Standing::Cleared === $planting->standing;
        $noted = $site->noted($planting, Happening::Picked);
        $tasks = [];
        if (Pattern::GreenManure !== $crop->pattern) {
            $look = $as->ready->plus(-self::LOOKED);
            $seen = $site->noted($planting, Happening::Seen)[0] ?? $noted[0] ?? null;
            $tasks[] = $site->ofPlanting($planting, TaskKind::LookReady, 'look-ready', $look, $seen ?? ($isOver ? $look : null),
                null === $seen);
            array_push($tasks, ...self::isLifted($crop) ? [$this->lift($site, $planting, $as, $noted[0] ?? null)]
                : $this->pickings($site, $planting, $as, $crop, $noted, $due));
        }
        if (Pattern::Perennial !== $crop->pattern) {
            $ended = $site->noted($planting, Happening::Finished)[0] ?? null;
            $tasks[] = $site->ofPlanting($planting, TaskKind::Clear, 'clear', $as->clear, $isOver ? $ended ?? $planting->clear : null,
                null === $ended);
        }

        return $tasks;
    }

    /** Lifted in one go, for store. */
    private static function isLifted(Crop $crop): bool
    {
        return Pattern::Once === $crop->pattern && $crop->produce->stored;
    }

    private function lift(Site $site, Planting $planting, Planting $as, ?Day $noted): Task
    {
        $due = $as->ready->plus(min($site->crop($planting)->timing->spread, max(0, $as->clear->since($as->ready))));
        $isOver = Standing::Cleared === $planting->standing;

        return $site->ofPlanting($planting, TaskKind::Lift, 'lift', $due, $noted ?? ($isOver ? $due : null), null === $noted,
            first: $as->ready, last: $as->clear->isBefore($due) ? $due : $as->clear,
            units: $planting->yieldPerMetre() * $planting->bedMetres());
    }

    /**
     * @param list<Day> $noted
     *
     * @return list<Task>
     */
    private function pickings(Site $site, Planting $planting, Planting $as, Crop $crop, array $noted, Period $due): array
    {
        $days = $crop->pattern->isStock() ? $this->marketPicks($site, $as) : $this->ownPicks($site, $as);
        $isOver = Standing::Cleared === $planting->standing;
        $tasks = [];
        $n = 0;
        foreach ($days as $number => $units) {
            $day = Day::of($number);
            ++$n;
            if (!$due->contains($day)) {
                continue;
            }
            $near = array_values(array_filter($noted, static fn (Day $d): bool => abs($d->since($day)) <= self::NEAR
                && self::nearest($d, array_keys($days)) === $number));
            $tasks[] = $site->ofPlanting($planting, TaskKind::Pick, 'pick/'.($crop->pattern->isStock() ? $day->iso() : $n), $day, $near[0]
                ?? ($isOver ? $day : null),
                [] === $near, units: $units, hours: $site->book->pickHours($crop, $units), cents: $units * $site->unitWorth($planting),
                isTakenOver: self::isBehind($number, array_keys($days), $site->garden->today));
        }

        return $tasks;
    }

    /**
     * Cut and picked on its own days.
     *
     * @return array<int, float> units by day
     */
    private function ownPicks(Site $site, Planting $as): array
    {
        $days = [];
        foreach (Lot::of($as, $site->crop($as)) as $lot) {
            $days[$lot->from] = ($days[$lot->from] ?? 0.0) + $lot->units;
        }

        return $days;
    }

    /**
     * A stock is taken from for every market day, the day before.
     *
     * @return array<int, float> units by day, in even parts
     */
    private function marketPicks(Site $site, Planting $as): array
    {
        $days = [];
        for ($day = $as->ready; !$as->clear->isBefore($day); $day = $day->plus(1)) {
            $isWanted = [] === $site->garden->outlets ? 0 === $day->since($as->ready) % self::USUAL_EVERY
                : [] !== array_filter($site->garden->outlets, static fn ($o): bool => $o->days->isOpenOn($day->plus(1)));
            $days += $isWanted ? [$day->number => 0.0] : [];
        }
        $days = [] === $days ? [$as->ready->number => 0.0] : $days;
        $units = $as->yieldPerMetre() * $as->bedMetres() * ($as->left->share ?? 1.0);

        return array_map(static fn (): float => $units / \count($days), $days);
    }

    /**
     * The next picking has come: what is left of this one is picked with it, or over.
     *
     * @param list<int> $days
     */
    private static function isBehind(int $day, array $days, Day $today): bool
    {
        return [] !== array_filter($days, static fn (int $other): bool => $day < $other && $other <= $today->number);
    }

    /** @param list<int> $days */
    private static function nearest(Day $day, array $days): int
    {
        usort($days, static fn (int $a, int $b): int => [abs($a - $day->number), $a] <=> [abs($b - $day->number), $b]);

        return $days[0] ?? $day->number;
    }
}
