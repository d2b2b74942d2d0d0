<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\About;
use JollyFurrow\Storage\CuringProgress;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Turning what cures, looking whether it has, and going through what lies in store. */
final readonly class StoreTasks implements TaskSource
{
    public const TURN = 'turn';
    public const CURED = 'cured';
    /** Each place is gone through every second week. */
    private const WEEKS = 2;

    public function tasks(Site $site, Period $due): array
    {
        if ([] === $site->garden->store->harvests) {
            return [];
        }
        $there = Ledger::on($site->garden->store, $site->garden->today)->there;

        return [...$this->curing($site, $due, $there), ...$this->looks($site, $due, $there)];
    }

    /**
     * @param array<string, array<string, int>> $there hundredths, by lot and place
     *
     * @return list<Task>
     */
    private function curing(Site $site, Period $due, array $there): array
    {
        $tasks = [];
        foreach ($site->garden->store->harvests as $lot) {
            $progress = [] === ($there[$lot->key] ?? []) || !$site->crops->has($lot->item) ? null : CuringProgress::of($lot,
                $site->garden->store->keeping->of($site->crops->grown($lot->item, $lot->variety)), $site->garden->today);
            foreach (null === $progress ? [] : $progress->turnings() as $n => $day) {
                !$due->contains($day) ?: $tasks[] = $this->cure($site, $lot, self::TURN, $day, $n);
            }
            if (null !== $progress && $due->contains($progress->from())) {
                $tasks[] = $this->cure($site, $lot, self::CURED, $progress->from(), 0, $progress->until()->since($progress->from()));
            }
        }

        return $tasks;
    }

    private function cure(Site $site, HarvestLot $lot, string $what, Day $day, int $n, ?int $wait = null): Task
    {
        return $site->ofPlace(TaskKind::Cure, About::Garden, '', \sprintf('cure/%s/%s%d', substr($lot->key, 0, 44), $what, $n), $day,
            name: $what.'/'.$site->crops->grown($lot->item, $lot->variety)->name, wait: $wait);
    }

    /**
     * @param array<string, array<string, int>> $there
     *
     * @return list<Task>
     */
    private function looks(Site $site, Period $due, array $there): array
    {
        $used = array_fill_keys(array_merge(...array_values(array_map(array_keys(...), $there))), true);
        $tasks = [];
        for ($day = $due->start->week()->monday(); $day->isBefore($due->end); $day = $day->plus(7)) {
            foreach (0 === intdiv($day->number, 7) % self::WEEKS && $due->contains($day) ? $site->garden->store->places : [] as $place) {
                if (isset($used[$place->key])) {
                    $tasks[] = $site->ofPlace(TaskKind::LookStore, About::Garden, '', 'store/'.$place->key.'/'.$day->iso(), $day,
                        name: $place->name);
                }
            }
        }

        return $tasks;
    }
}
