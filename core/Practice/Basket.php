<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Stock\FirstOut;
use JollyFurrow\Stock\StockLot;
use JollyFurrow\Stock\StockNeed;
use JollyFurrow\Stock\StoreForecast;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Task\HarvestTasks;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/**
 * What the crew of a practice garden brings in, and sells out of store: near what was expected, by chance of the seed. What is
 * stored is dug for tomorrow's market only; the rest of it comes in when its bed is cleared.
 */
final readonly class Basket
{
    /** Of what is expected: from so much, in so many steps of a hundredth. */
    private const LEAST = 0.82;
    private const STEPS = 31;
    private const SECOND = 9;

    /** @return list<HarvestLot> of the tasks that fall due in some days */
    public static function of(Site $site, Needs $needs, Period $days, int $seed): array
    {
        $garden = $site->garden;
        $lots = [];
        $ready = [];
        foreach ($garden->plantings as $planting) {
            $site->crop($planting)->produce->stored ? $ready[$planting->item][] = $planting : null;
        }
        foreach ((new HarvestTasks())->tasks($site, $days) as $task) {
            $planting = $task->planting;
            if (null === $planting || !\in_array($task->kind, [TaskKind::Pick, TaskKind::Lift], true)) {
                continue;
            }
            $units = $site->crop($planting)->produce->stored && TaskKind::Pick === $task->kind
                ? self::wanted($needs->for($planting->item), $task->due, $ready[$planting->item] ?? []) : $task->units;
            $lot = self::lot($site, $planting, $task, $units * self::luck($seed, $task->id->text()), $seed);
            if ($lot->hundredths > 0) {
                $lots[] = $lot;
            }
        }

        return $lots;
    }

    /** What is left of a planting that is stored, when its bed is cleared; null: nothing, or it is not stored. */
    public static function rest(Site $site, Planting $planting, Day $day, int $seed): ?HarvestLot
    {
        $crop = $site->crop($planting);
        $lifted = array_sum(array_map(static fn (HarvestLot $l): float => $l->units(), $site->garden->store->of($planting->key)));
        $units = $planting->yieldPerMetre() * $planting->bedMetres() * self::luck($seed, $planting->key) - $lifted;
        $place = StoreForecast::bestPlace($site->garden, $crop);

        return !$crop->produce->stored || $units < 1.0 || null === $place ? null : self::made($site, $planting, $day, $units, $place->key,
            Grade::First);
    }

    /** @return list<Handling> what today's market takes out of store */
    public static function sold(Site $site, Needs $needs): array
    {
        $garden = $site->garden;
        $sold = [];
        foreach (Holdings::of($garden, $site->crops)->byItem() as $item => $holdings) {
            $wanted = array_sum(array_map(static fn (Need $n): int => $n->day === $garden->today->number ? $n->units : 0,
                $needs->for($item)));
            if (0 === $wanted) {
                continue;
            }
            $lots = array_map(static fn (Holding $h, int $n): StockLot => new StockLot((string) $n, $garden->today->number,
                max($garden->today->number, $h->late->number), $h->units()), $holdings, array_keys($holdings));
            $need = new StockNeed($garden->today->number, (float) $wanted);
            foreach (FirstOut::of([$need], $lots)->takes[0] as $n => $units) {
                $holding = $holdings[(int) $n];
                $sold[] = new Handling(\sprintf('%s/%s/%s', $garden->today->iso(), $holding->lot->key, $holding->place->key),
                    $holding->lot->key, $garden->today, HandlingKind::Sold, (int) round(100 * $units), $holding->place->key);
            }
        }

        return $sold;
    }

    /**
     * @param list<Need>     $needs
     * @param list<Planting> $plantings of that item
     */
    private static function wanted(array $needs, Day $due, array $plantings): float
    {
        $there = \count(array_filter($plantings, static fn (Planting $p): bool => !$due->isBefore($p->ready) && !$p->clear->isBefore($due)
            && Standing::Planned !== $p->standing));

        return array_sum(array_map(static fn (Need $n): int => $n->day === $due->number + 1 ? $n->units : 0, $needs)) / max(1, $there);
    }

    private static function lot(Site $site, Planting $planting, Task $task, float $units, int $seed): HarvestLot
    {
        $place = TaskKind::Lift === $task->kind ? StoreForecast::bestPlace($site->garden, $site->crop($planting)) : null;
        $isSecond = 0 === self::chance($seed, $task->id->text().'/grade') % self::SECOND;

        return self::made($site, $planting, $task->due, $units, $place->key ?? '', $isSecond ? Grade::Second : Grade::First);
    }

    private static function made(Site $site, Planting $planting, Day $day, float $units, string $place, Grade $grade): HarvestLot
    {
        $isByWeight = $site->crop($planting)->produce->isByWeight();
        $hundredths = $isByWeight ? (int) round($units * 10) * 10 : (int) floor($units + 0.5) * 100;
        $bed = $planting->pieces[0]->bed ?? '';

        return new HarvestLot(HarvestLot::code($day, $bed, $planting->item), $day, $planting->item, $planting->variety, $planting->key,
            $bed,
            $grade, $hundredths, place: $place);
    }

    private static function luck(int $seed, string $of): float
    {
        return self::LEAST + self::chance($seed, $of) % self::STEPS / 100;
    }

    private static function chance(int $seed, string $of): int
    {
        return (int) hexdec(substr(hash('xxh32', $seed.'/'.$of), 0, 6));
    }
}
