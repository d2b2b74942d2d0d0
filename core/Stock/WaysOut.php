<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** Ways out of a room that gets full: of the crop that fills it most, put elsewhere, left standing, sold sooner, grown less. */
final readonly class WaysOut
{
    /** Days something put elsewhere has to keep there, as long as the room is full but within these. */
    private const LEAST = 28;
    private const MOST = 56;
    private const HAIR = 1e-6;

    /** @return list<WayOut> none where the room is not full */
    public static function of(Garden $garden, StoreForecast $forecast, RoomWeeks $room): array
    {
        $week = $room->fullFrom();
        $item = null === $week ? null : self::fullest($forecast, $room, $week);
        if (null === $week || null === $item) {
            return [];
        }
        $needs = $garden->store->keeping->of($item->crop);
        $weeks = max(1, $room->fullFor());
        $over = ceil(max(array_map($room->over(...), range($week, $week + $weeks - 1))) - self::HAIR);
        $units = min($over, $room->crates[$week][$item->item] ?? 0.0) * $needs->crate;
        $ways = [];
        foreach ($forecast->rooms as $other) {
            $day = self::keeps($garden, $item, $other->place, $room->day($week), 7 * $weeks);
            if ($other->place->key !== $room->place->key && $other->place->kind->isForKeeping() && null !== $day
                && self::hasRoom($other, $week, $units / $needs->crate)) {
                $ways[] = WayOut::elsewhere($item->crop, $units, $other->place, $day);
            }
        }
        $planting = self::standing($garden, $item, $week);
        if (null !== $item->ground && null !== $planting && $room->day($week)->isBefore($item->ground->sure)) {
            $ways[] = WayOut::inTheGround($item->crop, $units, $planting, $item->ground->sure);
        }
        if ($week > 0 && $item->there() > 0.0) {
            $ways[] = WayOut::sooner($item->crop, ceil($units / $week));
        }
        if (null !== $planting && Standing::Planned === $planting->standing && $planting->yieldPerMetre() > 0.0) {
            $ways[] = WayOut::fewerMetres($item->crop, $units, $planting, min($planting->bedMetres(),
                ceil($units / $planting->yieldPerMetre())));
        }

        return $ways;
    }

    private static function fullest(StoreForecast $forecast, RoomWeeks $room, int $week): ?ItemStock
    {
        $crates = $room->crates[$week];
        arsort($crates);

        return $forecast->items[(string) array_key_first($crates)] ?? null;
    }

    /** Until when what comes in on a day would be likely good at a place; null: not so long as it has to. */
    private static function keeps(Garden $garden, ItemStock $item, StorePlace $place, Day $from, int $least): ?Day
    {
        $needs = $garden->store->keeping->of($item->crop);
        $rate = (new ShelfLife($needs))->rate($place->celsius, (float) $place->humidity);
        $days = (int) floor($needs->likely / max(1e-6, $rate));

        return $days < max(self::LEAST, min($least, self::MOST)) ? null : $from->plus(min(3650, $days));
    }

    private static function hasRoom(RoomWeeks $room, int $week, float $crates): bool
    {
        return null === $room->place->crates || $room->in($week) + $crates <= $room->place->crates;
    }

    /** The planting that brings most of it in by then. */
    private static function standing(Garden $garden, ItemStock $item, int $week): ?Planting
    {
        $until = $garden->today->plus(7 * ($week + 1));
        $there = $garden->plantings->where(static fn (Planting $p): bool => $p->item === $item->item
            && Standing::Cleared !== $p->standing && !$until->isBefore($p->ready))->all();
        usort($there, static fn (Planting $a, Planting $b): int => [$b->bedMetres(), $a->key] <=> [$a->bedMetres(), $b->key]);

        return $there[0] ?? null;
    }
}
