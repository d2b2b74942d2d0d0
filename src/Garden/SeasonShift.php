<?php

declare(strict_types=1);

namespace App\Garden;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PastCrop;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Day;

/**
 * Moves a garden file by whole weeks, the nearest to whole years, so that its season is the one a day falls in.
 * Weekdays stay, so market days stay market days.
 */
final class SeasonShift
{
    public function toSeasonOf(Garden $garden, Day $day): Garden
    {
        $days = 7 * (int) round(365.2425 * intdiv(max(0, $day->since($garden->today)), 365) / 7);
        if ($day->isBefore($garden->today)) {
            $days = -7 * (int) round(365.2425 * (1 + intdiv($garden->today->since($day) - 1, 365)) / 7);
        }

        return 0 === $days ? $garden : $this->by($garden, $days);
    }

    private function by(Garden $g, int $days): Garden
    {
        return new Garden(
            $g->name,
            $g->today->plus($days),
            $g->place,
            $g->settings,
            $g->blocks,
            $g->beds,
            array_map(static fn (PastCrop $p): PastCrop => new PastCrop($p->stretch, $p->crop, $p->cleared->plus($days)), $g->history),
            $g->outlets,
            $g->products,
            array_map(static fn (Promise $p): Promise => new Promise($p->outlet, $p->product, $p->day->plus($days), $p->quantity), $g->promises),
            array_map(static fn (Planting $p): Planting => new Planting(
                (string) preg_replace('/@[\d-]+/', '@'.$p->sow->plus($days)->iso(), $p->key), $p->item, $p->method, $p->place, $p->recipe,
                $p->sow->plus($days), $p->ground->plus($days), $p->bedStart->plus($days), $p->ready->plus($days), $p->clear->plus($days),
                $p->perMetre, $p->pieces, $p->standing, $p->locked, $p->remarks), $g->plantings),
        );
    }
}
