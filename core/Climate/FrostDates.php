<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * When the last frost of spring and the first of autumn come, with their odds. Days are counted from the middle of
 * winter, 1 January in the north and 2 July in the south, so that a season is whole in either half of the world.
 */
final readonly class FrostDates
{
    public const ODDS = [0.1, 0.5, 0.9];
    /** With fewer years than this a spread is fitted, and the page warns. */
    public const FEW_YEARS = 15;
    private const HALF = 183;
    /** Single frosty nights are not independent: about every third is news (own model). */
    public const NIGHTS_TOGETHER = 3;
    private const WHOLE_SEASON = 350;

    /**
     * @param array<string, array<string, array<string, float|null>>> $dates by grade and odds: days after midwinter; null: not known
     * @param int                                                     $years seasons behind it; 0: from monthly means
     */
    public function __construct(public array $dates, public int $years)
    {
    }

    public static function of(Climate $climate, bool $isSouth): self
    {
        $dates = [];
        foreach (FrostGrade::cases() as $grade) {
            $frosty = [];
            for ($n = 0; $n < Climate::DAYS; ++$n) {
                $i = ($n + ($isSouth ? self::HALF : 0)) % Climate::DAYS;
                $frosty[] = 1 - (1 - Bell::below(($grade->below() - $climate->min[$i]) / max(0.5,
                    $climate->minSd[$i]))) ** (1 / self::NIGHTS_TOGETHER);
            }
            foreach (self::ODDS as $odds) {
                $dates[$grade->value]['last'][(string) $odds] = self::lastOf(\array_slice($frosty, 0, self::HALF), $odds);
                $first = self::lastOf(array_reverse(\array_slice($frosty, self::HALF)), $odds);
                $dates[$grade->value]['first'][(string) $odds] = null === $first ? null : Climate::DAYS - 1 - $first;
            }
        }

        return new self($dates, 0);
    }

    public static function fromRecord(DailyRecord $record, bool $isSouth): self
    {
        $seasons = self::seasons($record, $isSouth);
        $dates = [];
        foreach (FrostGrade::cases() as $grade) {
            $last = array_map(static fn (array $days): ?float => self::frostIn($days, $grade, true), $seasons);
            $first = array_map(static fn (array $days): ?float => self::frostIn($days, $grade, false), $seasons);
            foreach (self::ODDS as $odds) {
                $dates[$grade->value]['last'][(string) $odds] = self::quantile($last, 1 - $odds);
                $dates[$grade->value]['first'][(string) $odds] = self::quantile($first, $odds, false);
            }
            $dates[$grade->value]['without'] = ['last' => (float) \count(array_keys($last, null, true)),
                'first' => (float) \count(array_keys($first, null, true))];
        }

        return new self($dates, \count($seasons));
    }

    /** Frost of that grade at that odds as a day of a year, counted from midwinter; null: none is known. */
    public function day(FrostGrade $grade, string $which, float $odds, int $year, bool $isSouth): ?Day
    {
        $n = $this->dates[$grade->value][$which][(string) $odds] ?? null;

        return null === $n ? null : Day::fromDate($year, $isSouth ? 7 : 1, $isSouth ? 2 : 1)->plus((int) round($n));
    }

    /** Seasons of the record in which no such frost came in that half; null: it is not from a record, or was not counted yet. */
    public function without(FrostGrade $grade, string $which): ?int
    {
        $count = $this->dates[$grade->value]['without'][$which] ?? null;

        return null === $count ? null : (int) $count;
    }

    /**
     * Value below which that share of the years lies: between the ordered years, or, where they are few, by a bell curve through
     * those that have one. A year without counts as one before all others, or after them; null: at that share there is none.
     *
     * @param list<float|null> $values null: a year without
     */
    public static function quantile(array $values, float $share, bool $isNoneBefore = true): ?float
    {
        $years = \count($values);
        $some = array_values(array_filter($values, static fn (?float $v): bool => null !== $v));
        sort($some);
        $n = \count($some);
        if (0 === $n) {
            return null;
        }
        if ($years < self::FEW_YEARS) {
            $of = $isNoneBefore ? ($share - 1 + $n / $years) * $years / $n : $share * $years / $n;

            return $n < $years && ($of <= 0.0 || $of >= 1.0) ? null : self::fitted($some, $of);
        }
        $at = $share * ($years - 1) - ($isNoneBefore ? $years - $n : 0);
        $low = (int) floor($at);

        return $at < 0.0 || $at > $n - 1 ? null : $some[$low] + ($at - $low) * ($some[min($n - 1, $low + 1)] - $some[$low]);
    }

    /** @param non-empty-list<float> $values */
    private static function fitted(array $values, float $share): float
    {
        $n = \count($values);
        $mean = array_sum($values) / $n;
        $sd = $n < 2 ? 0.0 : sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / ($n - 1));

        return $mean + $sd * Bell::where($share);
    }

    /**
     * The last frost of a season's first half, or the first of its second; null: none came.
     *
     * @param array<int, float> $days minimum by days after midwinter
     */
    private static function frostIn(array $days, FrostGrade $grade, bool $isLast): ?float
    {
        $frosty = array_keys(array_filter($days, static fn (float $t, int $n): bool => $isLast === ($n < self::HALF)
            && $t <= $grade->below(),
            \ARRAY_FILTER_USE_BOTH));

        return [] === $frosty ? null : (float) ($isLast ? max($frosty) : min($frosty));
    }

    /** @return list<array<int, float>> minimum by days after midwinter, of seasons known nearly whole */
    private static function seasons(DailyRecord $record, bool $isSouth): array
    {
        $seasons = [];
        foreach ($record->min as $number => $min) {
            $day = Day::of($number);
            $start = Day::fromDate($day->year(), $isSouth ? 7 : 1, $isSouth ? 2 : 1);
            $start = $day->isBefore($start) ? Day::fromDate($day->year() - 1, $isSouth ? 7 : 1, $isSouth ? 2 : 1) : $start;
            $seasons[$start->number][$day->since($start)] = $min;
        }

        return array_values(array_filter($seasons, static fn (array $days): bool => \count($days) >= self::WHOLE_SEASON));
    }

    /**
     * The day after which a frost still comes with these odds.
     *
     * @param list<float> $frosty odds of each night
     */
    private static function lastOf(array $frosty, float $odds): ?float
    {
        $none = 1.0;
        for ($n = \count($frosty) - 1; $n >= 0; --$n) {
            $none *= 1 - $frosty[$n];
            if (1 - $none >= $odds) {
                return (float) $n;
            }
        }

        return null;
    }
}
