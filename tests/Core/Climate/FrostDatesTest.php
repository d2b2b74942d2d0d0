<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\ClimateTable;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\HeatUnits;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Frost odds out of whole seasons, in either half of the world. */
final class FrostDatesTest extends TestCase
{
    /** Hyndman & Fan 1996 (American Statistician 50: 361-365), definition 7, worked by hand: of 1 to 20, a tenth lies below 2.9. */
    public function testManyYearsAreReadBetweenTheOrderedOnes(): void
    {
        $years = array_map(floatval(...), range(20, 1, -1));

        self::assertEqualsWithDelta([2.9, 10.5, 18.1], array_map(static fn (float $s): ?float => FrostDates::quantile($years, $s),
            [0.1, 0.5, 0.9]), 1e-9);
    }

    /** Few years: a bell curve through them; for 8, 10 and 12 the mean is 10, the spread 2, a tenth lies 1.2816 spreads below. */
    public function testFewYearsGetAFittedSpread(): void
    {
        self::assertEqualsWithDelta([10 - 2 * 1.28155, 10.0, 10 + 2 * 1.28155],
            array_map(static fn (float $s): ?float => FrostDates::quantile([8.0, 10.0, 12.0], $s), [0.1, 0.5, 0.9]), 1e-5);
        self::assertSame([null, 7.0], [FrostDates::quantile([], 0.5), FrostDates::quantile([7.0], 0.1)]);
    }

    public function testTwentyYearsOfARecord(): void
    {
        $frost = FrostDates::fromRecord(self::years(20, static fn (int $year): array => ['05-'.\sprintf('%02d', 1 + $year % 10),
            '10-'.\sprintf('%02d', 10 + $year % 10)]), false);

        self::assertSame(20, $frost->years);
        self::assertEqualsWithDelta([Day::parse('2026-05-09')->number, Day::parse('2026-05-01')->number],
            array_map(static fn (float $odds): int => $frost->day(FrostGrade::Light, 'last', $odds, 2026, false)->number ?? 0,
                [0.1, 0.9]), 1, 'to a day: leap years count one more');
        self::assertEqualsWithDelta(Day::parse('2026-10-11')->number, $frost->day(FrostGrade::Light, 'first', 0.1, 2026, false)->number
            ?? 0, 1);
        self::assertLessThan($frost->dates['light']['last']['0.1'], $frost->dates['hard']['last']['0.1'], 'harder frosts end sooner');
    }

    /** The season of a southern garden runs over New Year; a half-known season does not count. */
    public function testSouthernSeasonsRunOverNewYear(): void
    {
        $frost = FrostDates::fromRecord(self::years(6, static fn (): array => ['10-20', '04-15'], true), true);

        self::assertSame(5, $frost->years);
        self::assertSame('2026-10-20', $frost->day(FrostGrade::Light, 'last', 0.5, 2026, true)?->iso());
        self::assertSame('2027-04-15', $frost->day(FrostGrade::Light, 'first', 0.5, 2026, true)?->iso());
    }

    /** @param callable(int): array{string, string} $days last and first frost of a year */
    private static function years(int $count, callable $days, bool $south = false): DailyRecord
    {
        $rows = [];
        for ($year = 2000; $year < 2000 + $count; ++$year) {
            [$last, $first] = array_map(static fn (string $md): int => Day::parse($year.'-'.$md)->number, $days($year));
            for ($day = Day::fromDate($year, 1, 1); $day->year() === $year; $day = $day->plus(1)) {
                $isFrosty = $south ? $day->number >= $first && $day->number <= $last : $day->number <= $last || $day->number >= $first;
                $deep = abs($day->month() - ($south ? 7 : 1)) <= 1 || (!$south && 12 === $day->month());
                $rows[] = [$day->number, $isFrosty ? ($deep ? -8.0 : -0.5) : 5.0, 12.0, null];
            }
        }

        return DailyRecord::fromRows($rows);
    }

    /**
     * Where six of forty years have no such frost, it comes after a day with one year in ten, not with nine in ten; where most
     * have none, at no odds that are asked for.
     */
    public function testYearsWithoutFrostAreNoFrostOnNewYearsDay(): void
    {
        $years = [...array_fill(0, 6, null), ...array_map(floatval(...), range(61, 94))];
        self::assertEqualsWithDelta([null, 74.5, 90.1], array_map(static fn (float $s): ?float => FrostDates::quantile($years, $s),
            [0.1, 0.5, 0.9]), 1e-9);
        $autumn = [...array_fill(0, 6, null), ...array_map(floatval(...), range(261, 294))];
        self::assertEqualsWithDelta([264.9, 280.5, null], array_map(static fn (float $s): ?float => FrostDates::quantile($autumn, $s,
            false),
            [0.1, 0.5, 0.9]), 1e-9);
        self::assertSame([null, null], [FrostDates::quantile([null, null, null, null, 70.0, 80.0], 0.5),
            FrostDates::quantile([null, null, null], 0.9, false)]);
        self::assertEqualsWithDelta(75.0 + sqrt(50.0) * 0.5244, FrostDates::quantile([null, null, null, null, 70.0, 80.0], 0.9) ?? 0.0,
            0.01,
            'one year in ten is three in ten of the third that have one');
    }

    /** Ten years of which three have no hard frost: counted, and no day is made up for them. */
    public function testARecordSaysInHowManyYearsThereWasNone(): void
    {
        $rows = [];
        for ($year = 2001; $year <= 2010; ++$year) {
            for ($n = 0; $n < 365; ++$n) {
                $day = Day::fromDate($year, 1, 1)->plus($n);
                $cold = 20 === $day->dayOfMonth() && 1 === $day->month() && $year > 2003 ? -12.0 : 4.0;
                $rows[] = [$day->number, $cold, 15.0, 1.0];
            }
        }
        $frost = FrostDates::fromRecord(DailyRecord::fromRows($rows), false);

        self::assertSame([3, 10, 10], [$frost->without(FrostGrade::Hard, 'last'), $frost->without(FrostGrade::Hard, 'first'),
            $frost->years]);
        self::assertNull($frost->dates['hard']['last']['0.9']);
        self::assertSame('2026-01-20', $frost->day(FrostGrade::Hard, 'last', 0.5, 2026, false)?->iso());
        self::assertNull($frost->day(FrostGrade::Hard, 'first', 0.1, 2026, false));
    }

    /** Summers alone, of however many years, are no climate: the winter is not made up. */
    public function testARecordOfSummersIsRefusedByItsMonths(): void
    {
        $rows = [];
        for ($year = 2001; $year <= 2010; ++$year) {
            for ($day = Day::fromDate($year, 4, 1); $day->month() < 11; $day = $day->plus(1)) {
                $rows[] = [$day->number, 8.0, 20.0, null];
            }
        }
        $this->expectException(InvalidClimate::class);
        $this->expectExceptionMessage('January, February, March, November, December');
        Climate::fromRecord(DailyRecord::fromRows($rows));
    }

    /**
     * Unless the grower lets the winter be guessed: summers stay as measured, the rest is the guess moved by as much as the record
     * lies beside it, and which months those are is told.
     */
    public function testSummersAreFilledByAGuessWhenAsked(): void
    {
        $guess = GuessedClimate::of(47.0, 300, Nearness::Between);
        $guessed = Climate::fromMonths($guess);
        $rows = [];
        for ($year = 2001; $year <= 2010; ++$year) {
            for ($day = Day::fromDate($year, 4, 1); $day->month() < 11; $day = $day->plus(1)) {
                $i = Climate::index($day);
                $rows[] = [$day->number, $guessed->min[$i] + 2.0, $guessed->max[$i] + 3.0, null];
            }
        }
        $record = DailyRecord::fromRows($rows);
        $climate = Climate::fromRecord($record, $guess);

        self::assertSame(['January', 'February', 'March', 'November', 'December'], Climate::monthsWithout($record));
        foreach (['2001-01-15', '2001-07-15', '2001-12-20'] as $day) {
            $i = Climate::index(Day::parse($day));
            self::assertEqualsWithDelta([$guessed->min[$i] + 2.0, $guessed->max[$i] + 3.0], [$climate->min[$i], $climate->max[$i]], 0.15,
                $day);
        }
        self::assertSame($guessed->minSd[10], $climate->minSd[10]);
        self::assertSame(0, $climate->years);
    }

    /** Heat units are the mean of the years: a cold month has some above ten degrees, though its mean day has none. */
    public function testHeatUnitsAreTheMeanOfTheYears(): void
    {
        $rows = [];
        for ($year = 2001; $year <= 2002; ++$year) {
            for ($day = Day::fromDate($year, 1, 1); $day->year() === $year; $day = $day->plus(1)) {
                $warm = 2001 === $year ? 8.0 : -8.0;
                $rows[] = [$day->number, 5.0 + $warm, 9.0 + $warm, null];
            }
        }
        $record = DailyRecord::fromRows($rows);
        $climate = Climate::fromRecord($record);
        $april = ClimateTable::of($climate, 47.0, 2026, $record)->rows[3];

        // April of 2001 lies 5 degrees above the base on each of its 30 days, that of 2002 below it.
        self::assertEqualsWithDelta(30 * 5.0 / 2, $april['heat10'], 0.01);
        self::assertGreaterThan(HeatUnits::sine(5.0, 9.0, 10.0), HeatUnits::spread(5.0, 9.0, 10.0, 3.0));
        self::assertEqualsWithDelta(HeatUnits::sine(20.0, 30.0, 10.0), HeatUnits::spread(20.0, 30.0, 10.0, 2.0), 0.02);
    }
}
