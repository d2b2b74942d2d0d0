<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * The normal course of a year at a place: daily minimum and maximum with their spread from year to year, and rain.
 * Kept by day of a year of 366 days, 29 February in its place.
 */
final readonly class Climate
{
    public const DAYS = 366;
    private const MIDDLE_OF_MONTH = [15, 45, 75, 106, 136, 167, 197, 228, 259, 289, 320, 350];
    private const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
    /**
     * Spread of single nights around the mean where only monthly means are known, in the coldest and the warmest month:
     * so much, and more for each degree between these months (own model: it puts the last frost where growers say it is).
     */
    private const SPREAD_COLDEST = [1.0, 0.21];
    private const SPREAD_WARMEST = [0.9, 0.10];
    /** Months nearer to each other than this have no coldest and warmest. Degrees C. */
    private const EVEN = 0.5;
    /** Days to each side that are taken together with a day of the record. */
    private const SMOOTHING = 10;
    private const WHOLE_YEAR = 360;

    /**
     * @param list<float> $min   degrees C
     * @param list<float> $max   degrees C
     * @param list<float> $minSd spread of single days, degrees C
     * @param list<float> $maxSd
     * @param list<float> $rain  mm a day
     * @param int         $years years of record behind it; 0: monthly means, the spread is assumed
     */
    private function __construct(public array $min, public array $max, public array $minSd, public array $maxSd, public array $rain,
        public int $years)
    {
    }

    public static function fromMonths(MonthlyMeans $months): self
    {
        $rain = [];
        foreach (self::MONTH_DAYS as $m => $days) {
            $rain = [...$rain, ...array_fill(0, $days, ($months->rain[$m] ?? 0.0) / $days)];
        }
        $min = self::meanPreserving($months->min);
        $max = self::meanPreserving($months->max);
        $spread = self::spread($months, $min, $max);

        return new self($min, $max, $spread, $spread, $rain, 0);
    }

    /**
     * Spread of the nights by the mean of each day, between that of the coldest month and that of the warmest.
     *
     * @param list<float> $min
     * @param list<float> $max
     *
     * @return list<float>
     */
    private static function spread(MonthlyMeans $months, array $min, array $max): array
    {
        $means = array_map(static fn (float $low, float $high): float => ($low + $high) / 2, $months->min, $months->max);
        $coldest = [] === $means ? 0.0 : min($means);
        $range = [] === $means ? 0.0 : max($means) - $coldest;
        $cold = self::SPREAD_COLDEST[0] + self::SPREAD_COLDEST[1] * $range;
        $warm = self::SPREAD_WARMEST[0] + self::SPREAD_WARMEST[1] * $range;
        $wider = null === $months->guess ? 0.0 : GuessedClimate::WIDER;
        $spread = [];
        foreach ($min as $i => $low) {
            $share = $range > self::EVEN ? min(1.0, max(0.0, (($low + $max[$i]) / 2 - $coldest) / $range)) : 0.5;
            $spread[] = $cold + ($warm - $cold) * $share + $wider;
        }

        return $spread;
    }

    /**
     * @param MonthlyMeans|null $fill what the days are taken from that are in no year of the record, moved by as much as the record
     *                                lies beside it where both are known
     *
     * @throws InvalidClimate when there is less than a year of it, or part of the year is in no year of it and nothing fills it
     */
    public static function fromRecord(DailyRecord $record, ?MonthlyMeans $fill = null): self
    {
        if ($record->days() < self::WHOLE_YEAR) {
            throw InvalidClimate::tooShort($record->days());
        }
        $byDay = [];
        $years = [];
        foreach ($record->min as $number => $min) {
            $day = Day::of($number);
            $i = self::index($day);
            $byDay[$i]['min'][] = $min;
            $byDay[$i]['max'][] = $record->max[$number];
            $byDay[$i]['rain'][] = $record->rain[$number] ?? null;
            $years[$day->year()] = ($years[$day->year()] ?? 0) + 1;
        }
        $lines = ['min' => [], 'max' => [], 'minSd' => [], 'maxSd' => [], 'rain' => []];
        $unknown = self::unknown($byDay);
        $months = self::monthsOf($unknown);
        if ([] !== $months && null === $fill) {
            throw InvalidClimate::unknown($months);
        }
        for ($i = 0; $i < self::DAYS; ++$i) {
            $near = ['min' => [], 'max' => [], 'rain' => []];
            for ($j = $i - self::SMOOTHING; $j <= $i + self::SMOOTHING; ++$j) {
                foreach ($byDay[($j + self::DAYS) % self::DAYS] ?? [] as $what => $values) {
                    $near[$what] = [...$near[$what], ...array_filter($values, static fn (?float $v): bool => null !== $v)];
                }
            }
            foreach (['min', 'max'] as $what) {
                $mean = [] === $near[$what] ? 0.0 : array_sum($near[$what]) / \count($near[$what]);
                $lines[$what][] = $mean;
                $lines[$what.'Sd'][] = sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2,
                    $near[$what])) / max(1, \count($near[$what]) - 1));
            }
            $lines['rain'][] = [] === $near['rain'] ? 0.0 : array_sum($near['rain']) / \count($near['rain']);
        }
        $lines = [] === $unknown || null === $fill ? $lines : self::filled($lines, $unknown, self::fromMonths($fill));

        return new self($lines['min'], $lines['max'], $lines['minSd'], $lines['maxSd'], $lines['rain'],
            \count(array_filter($years, static fn (int $n): bool => $n >= 300)));
    }

    /** @return list<string> months of which some day is in no year of the record */
    public static function monthsWithout(DailyRecord $record): array
    {
        $byDay = [];
        foreach (array_keys($record->min) as $number) {
            $byDay[self::index(Day::of($number))] = true;
        }

        return self::monthsOf(self::unknown($byDay));
    }

    /**
     * @param array{min: list<float>, max: list<float>, minSd: list<float>, maxSd: list<float>, rain: list<float>} $lines
     * @param list<int>                                                                                            $unknown
     *
     * @return array{min: list<float>, max: list<float>, minSd: list<float>, maxSd: list<float>, rain: list<float>}
     */
    private static function filled(array $lines, array $unknown, self $by): array
    {
        $isUnknown = array_flip($unknown);
        foreach (['min' => $by->min, 'max' => $by->max] as $what => $line) {
            $beside = array_filter(array_map(static fn (float $here, float $there): float => $here - $there, $lines[$what], $line),
                static fn (int $i): bool => !isset($isUnknown[$i]), \ARRAY_FILTER_USE_KEY);
            $moved = [] === $beside ? 0.0 : array_sum($beside) / \count($beside);
            foreach ($unknown as $i) {
                $lines[$what][$i] = $line[$i] + $moved;
            }
        }
        foreach ($unknown as $i) {
            [$lines['minSd'][$i], $lines['maxSd'][$i], $lines['rain'][$i]] = [$by->minSd[$i], $by->maxSd[$i], $by->rain[$i]];
        }
        ksort($lines['min']);
        ksort($lines['max']);

        return ['min' => array_values($lines['min']), 'max' => array_values($lines['max']), 'minSd' => array_values($lines['minSd']),
            'maxSd' => array_values($lines['maxSd']), 'rain' => array_values($lines['rain'])];
    }

    /**
     * @param array<int, mixed> $byDay what is known of each day of the year
     *
     * @return list<int> days about which nothing is known
     */
    private static function unknown(array $byDay): array
    {
        return array_values(array_filter(range(0, self::DAYS - 1), static fn (int $i): bool => [] === array_filter(
            range($i - self::SMOOTHING, $i + self::SMOOTHING), static fn (int $j): bool => isset($byDay[($j + self::DAYS) % self::DAYS]))));
    }

    /**
     * @param list<int> $days of the year
     *
     * @return list<string> names
     */
    private static function monthsOf(array $days): array
    {
        $first = Day::fromDate(2000, 1, 1);

        return array_values(array_unique(array_map(static fn (int $i): string => MonthlyMeans::MONTHS[$first->plus($i)->month() - 1],
            $days)));
    }

    /** @return array{min: list<float>, max: list<float>, minSd: list<float>, maxSd: list<float>, rain: list<float>, years: int} */
    public function values(): array
    {
        return ['min' => self::short($this->min), 'max' => self::short($this->max), 'minSd' => self::short($this->minSd),
            'maxSd' => self::short($this->maxSd), 'rain' => self::short($this->rain), 'years' => $this->years];
    }

    /** @param array{min: list<float>, max: list<float>, minSd: list<float>, maxSd: list<float>, rain: list<float>, years: int} $values */
    public static function fromValues(array $values): self
    {
        return new self($values['min'], $values['max'], $values['minSd'], $values['maxSd'], $values['rain'], $values['years']);
    }

    /** Place of a day in the arrays. */
    public static function index(Day $day): int
    {
        $number = $day->number - Day::fromDate($day->year(), 1, 1)->number;

        return checkdate(2, 29, $day->year()) || $number < 59 ? $number : $number + 1;
    }

    /** @return array{min: list<float>, max: list<float>, rain: list<float>} by month: means of the day, rain in mm a month */
    public function months(): array
    {
        $months = ['min' => [], 'max' => [], 'rain' => []];
        $at = 0;
        foreach (self::MONTH_DAYS as $days) {
            foreach (['min' => $this->min, 'max' => $this->max] as $what => $line) {
                $months[$what][] = array_sum(\array_slice($line, $at, $days)) / $days;
            }
            $months['rain'][] = array_sum(\array_slice($this->rain, $at, $days));
            $at += $days;
        }

        return $months;
    }

    /**
     * @param list<float> $line
     *
     * @return list<float>
     */
    private static function short(array $line): array
    {
        return array_map(static fn (float $v): float => round($v, 3), $line);
    }

    /**
     * A smooth daily curve whose monthly means are those given (after Rymes & Myers 2001: smooth, then give each month
     * back what it lost, again and again).
     *
     * @param list<float> $monthly
     *
     * @return list<float>
     */
    private static function meanPreserving(array $monthly): array
    {
        $line = [];
        for ($day = 0; $day < self::DAYS; ++$day) {
            $line[] = self::between($monthly, $day);
        }
        for ($round = 0; $round < 40; ++$round) {
            $smooth = [];
            for ($day = 0; $day < self::DAYS; ++$day) {
                $smooth[] = ($line[($day + self::DAYS - 1) % self::DAYS] + $line[$day] + $line[($day + 1) % self::DAYS]) / 3;
            }
            $at = 0;
            $missing = [];
            foreach (self::MONTH_DAYS as $m => $days) {
                $missing[] = $monthly[$m] - array_sum(\array_slice($smooth, $at, $days)) / $days;
                $at += $days;
            }
            for ($day = 0; $day < self::DAYS; ++$day) {
                $smooth[$day] += self::between($missing, $day);
            }
            $line = array_values($smooth);
        }

        return $line;
    }

    /**
     * In a straight line between the middles of the months.
     *
     * @param list<float> $monthly
     */
    private static function between(array $monthly, int $day): float
    {
        $m = 11;
        while ($m >= 0 && self::MIDDLE_OF_MONTH[$m] > $day) {
            --$m;
        }
        $from = $m < 0 ? self::MIDDLE_OF_MONTH[11] - self::DAYS : self::MIDDLE_OF_MONTH[$m];
        $to = $m < 0 ? self::MIDDLE_OF_MONTH[0] : (11 === $m ? self::MIDDLE_OF_MONTH[0] + self::DAYS : self::MIDDLE_OF_MONTH[$m + 1]);
        $share = ($day - $from) / ($to - $from);

        return $monthly[($m + 12) % 12] * (1 - $share) + $monthly[($m + 1) % 12] * $share;
    }
}
