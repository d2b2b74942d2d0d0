<?php

declare(strict_types=1);

namespace JollyFurrow\Bench;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\TrayRoom;
use JollyFurrow\Time\Day;

/**
 * Trays in the nursery by week, from sowing to planting out: on the mat until they are up, on the bench after, outside for
 * the last days.
 */
final readonly class BenchLoad
{
    private const WEEKS = 26;
    private const HARDENED = 7;

    /** @param list<BenchWeek> $weeks from this week's Monday on */
    private function __construct(public array $weeks, public TrayRoom $room)
    {
    }

    public static function of(Garden $garden, CropBook $book, int $weeks = self::WEEKS): self
    {
        $monday = $garden->today->week()->monday();
        $last = $monday->plus(7 * $weeks - 1);
        $room = $garden->settings->rules->benches->room;
        $beds = $garden->bedsByName();
        $days = $standing = [];
        foreach ($garden->plantings as $planting) {
            if (!self::isThere($planting) || $planting->ground->isBefore($monday) || $last->isBefore($planting->sow)) {
                continue;
            }
            $crop = $book->grown($planting->item, $planting->variety);
            $trays = Trays::of($crop, $planting, $beds);
            $up = $trays->areOnMat ? $planting->sow->plus($trays->daysUp($garden->settings->rules->benches)) : $planting->sow;
            $out = $planting->ground->plus(-self::HARDENED);
            for ($day = $monday->number; $day <= $last->number; ++$day) {
                if ($day < $planting->sow->number || $day >= $planting->ground->number) {
                    continue;
                }
                $where = $day < $up->number ? 'mat' : ($day < $out->number ? 'bench' : 'out');
                $days[$day][$where] = ($days[$day][$where] ?? 0.0) + $trays->trays;
                $standing[intdiv($day - $monday->number, 7)][$planting->key] = $planting;
            }
        }
        $list = [];
        for ($n = 0; $n < $weeks; ++$n) {
            $list[] = self::week($monday->plus(7 * $n), $days, array_values($standing[$n] ?? []), $room);
        }

        return new self($list, $room);
    }

    private static function isThere(Planting $planting): bool
    {
        return Method::Transplanted === $planting->method && \in_array($planting->standing, [Standing::Planned, Standing::InNursery], true);
    }

    /**
     * @param array<int, array<string, float>> $days
     * @param list<Planting>                   $plantings
     */
    private static function week(Day $monday, array $days, array $plantings, TrayRoom $room): BenchWeek
    {
        $most = ['mat' => 0.0, 'bench' => 0.0, 'out' => 0.0];
        for ($day = $monday->number; $day < $monday->number + 7; ++$day) {
            foreach ($most as $where => $trays) {
                $most[$where] = max($trays, $days[$day][$where] ?? 0.0);
            }
        }

        return new BenchWeek($monday, $most['mat'], $most['bench'], $most['out'], $plantings,
            0 === $room->bench ? 0.0 : max(0.0, $most['bench'] + $most['mat'] - $room->bench),
            0 === $room->mat ? 0.0 : max(0.0, $most['mat'] - $room->mat));
    }

    /** The first week with more trays than room; null: there is room, or it is not known. */
    public function full(): ?BenchWeek
    {
        foreach ($this->weeks as $week) {
            if ($week->over > 0.0 || $week->overMat > 0.0) {
                return $week;
            }
        }

        return null;
    }
}
