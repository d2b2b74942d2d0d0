<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** Beds ahead: metres wanted, in preparation, standing and free, week by week. */
final class BedsAhead
{
    private const WEEKS = 8;

    /** @return list<BedWeek> from this week's Monday on */
    public static function of(Garden $garden, PlaceType $place): array
    {
        $monday = $garden->today->plus(1 - $garden->today->weekday()->value);
        $weeks = [];
        for ($n = 0; $n < self::WEEKS; ++$n) {
            $weeks[] = self::week($garden, $place, $monday->plus(7 * $n));
        }

        return $weeks;
    }

    /** On the Sunday, but for what is wanted: that is all that goes into the ground from Monday to Sunday. */
    private static function week(Garden $garden, PlaceType $place, Day $monday): BedWeek
    {
        $sunday = $monday->plus(6);
        $needed = $preparing = $standing = 0.0;
        foreach ($garden->plantings as $planting) {
            if ($planting->place !== $place || $planting->isOver($monday)) {
                continue;
            }
            $metres = self::metres($planting);
            if (!$planting->ground->isBefore($monday) && !$sunday->isBefore($planting->ground)) {
                $needed += $metres;
            }
            if ($planting->bedStart->number <= $sunday->number && $sunday->number <= $planting->clear->number) {
                $planting->ground->number > $sunday->number ? $preparing += $metres : $standing += $metres;
            }
        }

        return new BedWeek($monday, $needed, $preparing, $standing, max(0.0, $garden->metresOf($place) - $preparing - $standing));
    }

    private static function metres(Planting $planting): float
    {
        return array_sum(array_map(static fn ($piece): float => $piece->length()->metres() * $piece->widthShare,
            $planting->pieces));
    }
}
