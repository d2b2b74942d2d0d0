<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Beds\FreeMetres;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Promise\Product;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Week;

/** What stands below the beds: supply against promise of one product, and the free bed metres, week by week. */
final readonly class SupplyStrip
{
    private const HEIGHT = 52.0;
    private const FREE_HEIGHT = 22.0;
    /** Free share below which a week is tight, and below which it is full. */
    private const TIGHT = 0.1;
    private const FULL = 0.02;

    /**
     * @return list<array{monday: Day, label: string, promised: float, served: float, short: float}> weeks with a promise
     */
    public function weeks(Garden $garden, Plan $plan, Product $product): array
    {
        $promised = [];
        foreach ($garden->promises as $promise) {
            if ($promise->product === $product->key) {
                $monday = $promise->day->week()->monday()->number;
                $promised[$monday] = ($promised[$monday] ?? 0.0) + $promise->quantity;
            }
        }
        ksort($promised);
        $weeks = [];
        foreach ($promised as $monday => $quantity) {
            $share = $this->share($plan, $product, $monday);
            $week = Day::of($monday)->week();
            $weeks[] = ['monday' => $week->monday(), 'label' => $week->label(), 'promised' => $quantity,
                'served' => floor($quantity * $share + 1e-9), 'short' => $quantity - floor($quantity * $share + 1e-9)];
        }

        return $weeks;
    }

    /**
     * @param list<array{monday: Day, label: string, promised: float, served: float, short: float}> $weeks
     *
     * @return array{height: float, bars: list<array{x: float, w: float, end: float, top: float, h: float, line: float, missing: float, short: string, middle: float}>}
     */
    public function drawing(array $weeks, Scale $scale): array
    {
        $most = [] === $weeks ? 1.0 : max(array_column($weeks, 'promised'));
        $bars = [];
        foreach ($weeks as $week) {
            if (!$scale->shows($week['monday']->number, $week['monday']->number)) {
                continue;
            }
            $line = round(self::HEIGHT * (1 - $week['promised'] / $most), 1);
            $top = round(self::HEIGHT * (1 - $week['served'] / $most), 1);
            $bars[] = ['x' => round($scale->x($week['monday']->number) + 1.5, 1), 'w' => $scale->week - 3,
                'end' => round($scale->x($week['monday']->number) + $scale->week - 1.5, 1), 'top' => $top,
                'h' => round(self::HEIGHT - $top, 1), 'line' => $line, 'missing' => round($top - $line, 1),
                'short' => $week['short'] > 0 ? '-'.$week['short'] : '',
                'middle' => round($scale->x($week['monday']->number) + $scale->week / 2, 1)];
        }

        return ['height' => self::HEIGHT, 'bars' => $bars];
    }

    /** @return list<array{monday: Day, label: string, free: float, of: float, x: float, w: float, y: float, h: float}> */
    public function free(Garden $garden, PlaceType $place, Scale $scale): array
    {
        $of = $garden->metresOf($place);
        $weeks = [];
        foreach (FreeMetres::byWeek($garden, $place, $scale->first, $scale->weeks) as $monday => $free) {
            $h = $of > 0 ? round(self::FREE_HEIGHT * $free / $of, 1) : 0.0;
            $week = Day::of($monday)->week();
            $weeks[] = ['monday' => $week->monday(), 'label' => $week->label(), 'free' => $free, 'of' => $of,
                'x' => round($scale->x($monday) + 1.5, 1), 'w' => $scale->week - 3, 'y' => round(self::FREE_HEIGHT - $h, 1), 'h' => $h];
        }

        return $weeks;
    }

    /**
     * Weeks in which less than a tenth of the beds of a kind is free, as a ribbon over the beds; black ends of it where
     * not even a quarter bed is.
     *
     * @return list<array{place: PlaceType, y: float, runs: list<array{x: float, w: float, week: Week, free: float, of: float, full: bool}>}>
     */
    public function tight(Garden $garden, Scale $scale): array
    {
        $ribbons = [];
        foreach (PlaceType::cases() as $place) {
            $all = $garden->metresOf($place);
            $runs = [];
            foreach ($all > 0.0 ? FreeMetres::byWeek($garden, $place, $scale->first, $scale->weeks) : [] as $monday => $free) {
                if ($free < self::TIGHT * $all) {
                    $runs[] = ['x' => round($scale->x($monday) + 0.5, 1), 'w' => $scale->week - 1, 'week' => Day::of($monday)->week(),
                        'free' => $free, 'of' => $all, 'full' => $free < self::FULL * $all];
                }
            }
            if ([] !== $runs) {
                $ribbons[] = ['place' => $place, 'y' => 2.0 + 8 * \count($ribbons), 'runs' => $runs];
            }
        }

        return $ribbons;
    }

    /**
     * Which plantings the market days of each week are served from.
     *
     * @return array<int, array<string, array{crop: string, bed: string}>> by Monday and planting
     */
    public function feeding(Plan $plan, Product $product, CropBook $book): array
    {
        $plantings = [];
        foreach ($plan->plantings() as $planting) {
            $plantings[$planting->key] = $planting;
        }
        $weeks = [];
        foreach ($product->parts as $part) {
            foreach ($plan->from[$part->item] ?? [] as $j => $sources) {
                $monday = Day::of($plan->needs[$part->item][$j]->day)->week()->monday()->number;
                foreach (array_keys($sources) as $key) {
                    $planting = $plantings[$key] ?? null;
                    if (null !== $planting) {
                        $weeks[$monday][$key] = ['crop' => $book->grown($planting->item, $planting->variety)->name,
                            'bed' => implode(' + ', array_unique(array_column($planting->pieces, 'bed')))];
                    }
                }
            }
        }

        return $weeks;
    }

    /** The least share any of the product's items is served to in that week. */
    private function share(Plan $plan, Product $product, int $monday): float
    {
        $least = 1.0;
        foreach ($product->parts as $part) {
            $wanted = 0;
            $served = 0;
            foreach ($plan->needs[$part->item] ?? [] as $j => $need) {
                if ($need->day >= $monday && $need->day < $monday + 7) {
                    $wanted += $need->units;
                    $served += $plan->served[$part->item][$j];
                }
            }
            $least = min($least, $wanted > 0 ? $served / $wanted : 1.0);
        }

        return $least;
    }
}
