<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Shelter\PlaceType;

/** Bed metres of one place type on which nothing stands or is being made ready. */
final class FreeMetres
{
    /**
     * Metres free on every day of each week.
     *
     * @param int $first day number the first week begins on
     *
     * @return array<int, float> by the day number each week begins on
     */
    public static function byWeek(Garden $garden, PlaceType $place, int $first, int $weeks): array
    {
        $taken = array_fill($first, 7 * $weeks, 0.0);
        foreach ($garden->plantings as $planting) {
            $metres = $planting->place === $place ? $planting->length()->metres() : 0.0;
            for ($day = max($first, $planting->bedStart->number); $metres > 0.0 && $day <= min($first + 7 * $weeks - 1,
                $planting->clear->number); ++$day) {
                $taken[$day] += $metres;
            }
        }
        $free = [];
        for ($week = 0; $week < $weeks; ++$week) {
            $free[$first + 7 * $week] = max(0.0, $garden->metresOf($place) - max([0.0, ...\array_slice($taken, 7 * $week, 7)]));
        }

        return $free;
    }
}
