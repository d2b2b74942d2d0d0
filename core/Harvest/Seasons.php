<?php

declare(strict_types=1);

namespace JollyFurrow\Harvest;

use JollyFurrow\Crop\Rhythm;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** The seasons of a perennial: each begins on the day of the year its first one did, and the first are cut short. */
final class Seasons
{
    /** The season it is in, or the next one. */
    public static function at(Planting $planting, Rhythm $rhythm, Day $today): Period
    {
        for ($n = 0;; ++$n) {
            $first = $planting->ready->inYear($planting->ready->year() + $n);
            $last = $first->plus(max(1, $rhythm->seasons[$n] ?? $rhythm->lasts) - 1);
            if (!$last->isBefore($today) || $n > Day::of($planting->clear->number)->year() - $planting->ready->year()) {
                return Period::fromFirstToLast($first, $last);
            }
        }
    }
}
