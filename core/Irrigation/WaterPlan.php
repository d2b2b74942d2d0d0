<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;

/** Water by week and valve, against what the source gives; and in a drought, what brings least a litre. */
final readonly class WaterPlan
{
    private const WEEKS = 10;

    /**
     * @param array<int, list<ValveWeek>> $weeks  by number of the Monday, valves in their order, what has none last
     * @param float|null                  $source litres a week; null: not said
     */
    private function __construct(public array $weeks, public ?float $source)
    {
    }

    public static function of(Garden $garden, CropBook $crops, RecipeBook $recipes, WaterTable $table, DailyRecord $outlook,
        int $weeks = self::WEEKS): self
    {
        $monday = $garden->today->week()->monday();
        $end = $monday->plus(7 * $weeks);
        $balance = new WaterBalance($garden, $outlook);
        $beds = $garden->bedsByName();
        $values = Values::of($garden);
        $rows = [];
        foreach ($garden->plantings as $planting) {
            if (Standing::Cleared === $planting->standing || !$planting->ground->isBefore($end) || $planting->clear->isBefore($monday)) {
                continue;
            }
            $crop = $crops->grown($planting->item, $planting->variety);
            if (Pattern::GreenManure === $crop->pattern) {
                continue;
            }
            $soil = $garden->soil->soilOf($beds[$planting->pieces[0]->bed], $garden->today);
            $days = $balance->given($planting, $table->of($crop), $soil, $recipes->has($planting->recipe)
                ? $recipes->get($planting->recipe)->mulch : Mulch::None, $end);
            $worth = ($values[$planting->item] ?? 0.0) * $planting->yieldPerMetre();
            foreach ($planting->pieces as $piece) {
                $bed = $beds[$piece->bed];
                $area = $piece->length()->times($bed->width)->squareMetres * $piece->widthShare;
                $valve = $garden->soil->valveOf($piece->bed);
                $reaches = ($valve->way ?? WaterWay::Hand)->reaches();
                foreach ($days as $day => $mm) {
                    if ($day < $monday->number) {
                        continue;
                    }
                    $week = Day::of($day)->week()->monday()->number;
                    $key = $planting->key.' '.$piece->bed.' '.$piece->from;
                    $was = $rows[$week][$valve->key ?? ''][$key] ?? new BedWater($planting->key, $planting->item, $piece->bed, 0.0, 0.0,
                        $worth * $piece->length()->metres(), 0);
                    $rows[$week][$valve->key ?? ''][$key] = $was->again($mm, $mm * $area / $reaches);
                }
            }
        }

        return new self(self::weeks($garden, $monday, $weeks, $rows), null === $garden->soil->rules->sourceLitres ? null
            : $garden->soil->rules->sourceLitres * $garden->soil->rules->sourceHours * 7);
    }

    /** @return list<ValveWeek> of that week */
    public function week(Day $monday): array
    {
        return $this->weeks[$monday->number] ?? [];
    }

    public function litres(Day $monday): float
    {
        return array_sum(array_map(static fn (ValveWeek $v): float => $v->litres, $this->week($monday)));
    }

    /** Litres the source gives too little that week. */
    public function short(Day $monday): float
    {
        return null === $this->source ? 0.0 : max(0.0, $this->litres($monday) - $this->source);
    }

    /**
     * What to let go first, until the source is enough: what brings least a litre of that week.
     *
     * @return list<BedWater>
     */
    public function letGo(Day $monday): array
    {
        $short = $this->short($monday);
        $all = array_merge([], ...array_map(static fn (ValveWeek $v): array => $v->beds, $this->week($monday)));
        usort($all, static fn (BedWater $a, BedWater $b): int => [$a->cents / max(1.0, $a->litres), $a->planting, $a->bed]
            <=> [$b->cents / max(1.0, $b->litres), $b->planting, $b->bed]);
        $gone = [];
        foreach ($all as $bed) {
            if ($short <= 0.0) {
                break;
            }
            $gone[] = $bed;
            $short -= $bed->litres;
        }

        return $gone;
    }

    /**
     * @param array<int, array<string, array<string, BedWater>>> $rows by Monday, valve and stretch
     *
     * @return array<int, list<ValveWeek>>
     */
    private static function weeks(Garden $garden, Day $monday, int $weeks, array $rows): array
    {
        $list = [];
        for ($n = 0; $n < $weeks; ++$n) {
            $day = $monday->plus(7 * $n);
            $list[$day->number] = [];
            foreach ([...$garden->soil->valves, null] as $valve) {
                $beds = array_values($rows[$day->number][$valve->key ?? ''] ?? []);
                usort($beds, static fn (BedWater $a, BedWater $b): int => [$b->mm, $a->bed] <=> [$a->mm, $b->bed]);
                if (null !== $valve || [] !== $beds) {
                    $list[$day->number][] = new ValveWeek($valve, $day, $beds,
                        array_sum(array_map(static fn (BedWater $b): float => $b->litres,
                            $beds)), [] === $beds ? 0 : max(array_map(static fn (BedWater $b): int => $b->times, $beds)));
                }
            }
        }

        return $list;
    }
}
