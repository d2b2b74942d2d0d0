<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Period;

/** The stretches of one bed on which nothing stands, and nothing is being made ready, in a run of days. */
final class FreeStretches
{
    /**
     * @param list<Planting> $plantings all there are; a share of the width counts as the whole of it
     *
     * @return list<Stretch> from the head of the bed on
     */
    public static function on(Bed $bed, array $plantings, Period $when): array
    {
        $taken = [];
        foreach ($plantings as $planting) {
            foreach ($planting->occupancy()->overlaps($when) ? $planting->pieces : [] as $piece) {
                if ($piece->bed === $bed->name) {
                    $taken[] = [$piece->from, $piece->to];
                }
            }
        }
        sort($taken);
        $taken[] = [$bed->length->millimetres, $bed->length->millimetres];
        $free = [];
        $at = 0;
        foreach ($taken as [$from, $to]) {
            if ($from > $at) {
                $free[] = Stretch::of($bed->name, $at, min($from, $bed->length->millimetres));
            }
            $at = max($at, $to);
        }

        return $free;
    }

    /**
     * The first free stretch of a length, or null.
     *
     * @param list<Planting> $plantings
     */
    public static function first(Bed $bed, array $plantings, Period $when, int $millimetres): ?Stretch
    {
        foreach (self::on($bed, $plantings, $when) as $free) {
            if ($free->to - $free->from >= $millimetres) {
                return Stretch::of($bed->name, $free->from, $free->from + $millimetres);
            }
        }

        return null;
    }
}
