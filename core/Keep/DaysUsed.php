<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** How much of its life a lot has used up, in days at its best place, by how warm and damp it was where it lay. */
final readonly class DaysUsed
{
    /** @var array<string, array<int, PlaceDay>> by place and day */
    private array $readings;

    public function __construct(private Garden $garden, private CropBook $crops)
    {
        $readings = [];
        foreach ($garden->store->days as $day) {
            $readings[$day->place][$day->day->number] = $day;
        }
        $this->readings = $readings;
    }

    /**
     * From its harvest to a day, as if it had come in sound.
     *
     * @param list<Handling> $handlings of that lot, oldest first
     */
    public function of(HarvestLot $lot, array $handlings, Day $until): float
    {
        $life = new ShelfLife($this->garden->store->keeping->of($this->crops->grown($lot->item, $lot->variety)));
        $last = $lot->place;
        foreach ($handlings as $handling) {
            $last = '' === $handling->from || $until->isBefore($handling->day) ? $last : $handling->from;
        }

        return $this->at($life, Stay::ofLot($lot, $last, $handlings), $until) / max(1e-9, $life->intake($lot->flaws,
            self::nights($this->garden, $lot)));
    }

    /** @param list<Stay> $stays oldest first */
    public function at(ShelfLife $life, array $stays, Day $until): float
    {
        $used = 0.0;
        foreach ($stays as $n => $stay) {
            $place = $this->garden->store->place($stay->place);
            $used += null === $place ? 0.0 : $this->between($life, $place, $stay->from, $stays[$n + 1]->from ?? $until);
        }

        return $used;
    }

    private function between(ShelfLife $life, StorePlace $place, Day $from, Day $until): float
    {
        $usual = $life->rate($place->celsius, (float) $place->humidity);
        $used = $usual * max(0, $until->since($from));
        $readings = $this->readings[$place->key] ?? [];
        for ($day = $from->number; [] !== $readings && $day < $until->number; ++$day) {
            $read = $readings[$day] ?? null;
            $used += null === $read ? 0.0 : $life->rate($read->celsius, $read->humidity ?? (float) $place->humidity) - $usual;
        }

        return $used;
    }

    /** @return list<float> lows of the nights a lot lay out ripe, as they were measured */
    public static function nights(Garden $garden, HarvestLot $lot): array
    {
        $planting = $garden->plantings->get($lot->planting);
        $nights = [];
        for ($day = $planting?->ready->number ?? $lot->day->number; $day < $lot->day->number; ++$day) {
            isset($garden->climate->measured->min[$day]) ? $nights[] = $garden->climate->measured->min[$day] : null;
        }

        return $nights;
    }
}
