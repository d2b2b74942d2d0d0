<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/** A year at a place, month by month: the numbers behind its pictures. */
final readonly class ClimateTable
{
    /** Rain of a usual wet day where only monthly sums are known, mm (own model). */
    public const RAIN_OF_A_WET_DAY = 6.0;
    private const SEED_DEPTH_CM = 2.0;
    private const BASES = [4.0, 10.0];

    /** @param list<array{month: string, min: float, max: float, rain: float, wet: float, dryWeek: float, dayLength: float, heat4: float, heat10: float, soilLow: float, soil: float, soilHigh: float}> $rows */
    private function __construct(public array $rows)
    {
    }

    public static function of(Climate $climate, float $latitude, int $year): self
    {
        $weather = Weather::of($climate, $latitude, Day::fromDate($year - 1, 12, 1), 31 + 366);
        $soil = $weather->soil();
        $rows = [];
        $months = $climate->months();
        foreach (MonthlyMeans::MONTHS as $m => $month) {
            $first = Day::fromDate($year, $m + 1, 1);
            $days = 11 === $m ? 31 : Day::fromDate($year, $m + 2, 1)->since($first);
            $middle = $first->plus(14)->number - $weather->first;
            $heat = [0.0, 0.0];
            for ($n = $first->number - $weather->first, $last = $n + $days; $n < $last; ++$n) {
                foreach (self::BASES as $b => $base) {
                    $heat[$b] += HeatUnits::sine($weather->min[$n], $weather->max[$n], $base);
                }
            }
            $ground = SoilTemperature::of($soil[$middle], $weather->min[$middle], $weather->max[$middle], self::SEED_DEPTH_CM);
            $wet = min((float) $days, $months['rain'][$m] / self::RAIN_OF_A_WET_DAY);
            $rows[] = ['month' => $month, 'min' => $months['min'][$m], 'max' => $months['max'][$m], 'rain' => $months['rain'][$m],
                'wet' => $wet, 'dryWeek' => (1 - $wet / $days) ** 7,
                'dayLength' => DayLength::hours($latitude, $first->plus(14)), 'heat4' => $heat[0], 'heat10' => $heat[1],
                    'soilLow' => $ground->low, 'soil' => $ground->mean, 'soilHigh' => $ground->high];
        }

        return new self($rows);
    }
}
