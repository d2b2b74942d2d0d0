<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/** A year at a place, month by month: the numbers behind its pictures. */
final readonly class ClimateTable
{
    /** Days spread about the normal one by so much of what nights do (as the pace of crops has it). */
    private const DAYS_OF_NIGHTS = 0.86;
    /** Rain of a usual wet day where only monthly sums are known, mm (own model). */
    public const RAIN_OF_A_WET_DAY = 6.0;
    private const SEED_DEPTH_CM = 2.0;
    private const BASES = [4.0, 10.0];

    /** @param list<array{month: string, min: float, max: float, rain: float, wet: float, dryWeek: float, dayLength: float, heat4: float, heat10: float, soilLow: float, soil: float, soilHigh: float}> $rows */
    private function __construct(public array $rows)
    {
    }

    /**
     * @param DailyRecord|null $record heat units are the mean of its years where there is one; else of days spread about the normal one
     */
    public static function of(Climate $climate, float $latitude, int $year, ?DailyRecord $record = null): self
    {
        $ofYears = null === $record ? [] : self::heatOfYears($record);
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
                    $heat[$b] += HeatUnits::spread($weather->min[$n], $weather->max[$n], $base,
                        self::DAYS_OF_NIGHTS * $weather->nights[$n]);
                }
            }
            $heat = isset($ofYears[$m]) ? array_map(static fn (float $aDay): float => $aDay * $days, $ofYears[$m]) : $heat;
            $ground = SoilTemperature::of($soil[$middle], $weather->min[$middle], $weather->max[$middle], self::SEED_DEPTH_CM);
            $wet = min((float) $days, $months['rain'][$m] / self::RAIN_OF_A_WET_DAY);
            $rows[] = ['month' => $month, 'min' => $months['min'][$m], 'max' => $months['max'][$m], 'rain' => $months['rain'][$m],
                'wet' => $wet, 'dryWeek' => (1 - $wet / $days) ** 7,
                'dayLength' => DayLength::hours($latitude, $first->plus(14)), 'heat4' => $heat[0], 'heat10' => $heat[1],
                    'soilLow' => $ground->low, 'soil' => $ground->mean, 'soilHigh' => $ground->high];
        }

        return new self($rows);
    }

    /** @return array<int, list<float>> heat units of a day by month, counted from nought, and base: the mean of all its years */
    private static function heatOfYears(DailyRecord $record): array
    {
        $sums = $days = [];
        foreach ($record->min as $number => $min) {
            $month = Day::of($number)->month() - 1;
            $days[$month] = ($days[$month] ?? 0) + 1;
            foreach (self::BASES as $b => $base) {
                $sums[$month][$b] = ($sums[$month][$b] ?? 0.0) + HeatUnits::sine($min, $record->max[$number], $base);
            }
        }
        $ofYears = [];
        foreach ($sums as $month => $byBase) {
            $ofYears[$month] = array_values(array_map(static fn (float $sum): float => $sum / $days[$month], $byBase));
        }

        return $ofYears;
    }
}
