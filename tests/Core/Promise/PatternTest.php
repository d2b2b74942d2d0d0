<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Promise;

use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Need\SeasonTotals;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Promise\PromisePattern;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\TestCase;

final class PatternTest extends TestCase
{
    public function testEverySecondWeekOnTheOutletsDay(): void
    {
        $stall = LittleGarden::on('2026-05-01')->outlets[0];
        $days = PromisePattern::days($stall, Day::parse('2026-05-03'), Day::parse('2026-06-20'), 2);

        self::assertSame(['2026-05-09', '2026-05-23', '2026-06-06', '2026-06-20'], array_map(static fn (Day $d): string => $d->iso(),
            $days));
        self::assertSame([], PromisePattern::days($stall, Day::parse('2026-05-03'), Day::parse('2026-05-08'), 1));
    }

    public function testAboutAsTheYearBeforeFillsOnlyWhatIsEmpty(): void
    {
        $then = [self::promise('2025-05-10', 40), self::promise('2025-05-17', 5.5), self::promise('2025-05-24', 30),
            self::promise('2026-05-23', 12)];
        $stall = LittleGarden::on('2026-05-01')->outlets[0];
        $new = PromisePattern::aboutAsTheYearBefore($then, $stall, Day::parse('2026-05-01'), Day::parse('2026-05-31'), 1.1);

        self::assertEquals([self::promise('2026-05-09', 44), self::promise('2026-05-16', 6)], $new);
        self::assertSame([], PromisePattern::aboutAsTheYearBefore($then, new Outlet('boxes', 'Boxes', Weekday::Saturday, 1, 3, 3),
            Day::parse('2026-05-01'), Day::parse('2026-05-31'), 1.0));
    }

    public function testSeveralDaysAWeekAndWeeksItIsClosed(): void
    {
        $days = MarketDays::every(Weekday::Saturday, Weekday::Tuesday, Weekday::Saturday)
            ->butNot([Period::fromFirstToLast(Day::parse('2026-05-12'), Day::parse('2026-05-19'))]);
        $stall = new Outlet('stall', 'Stall', $days, 1, 3, 3);
        $iso = static fn (Day $d): string => $d->iso();

        self::assertSame([Weekday::Tuesday, Weekday::Saturday], $days->weekdays);
        self::assertSame(['2026-05-05', '2026-05-09', '2026-05-23', '2026-05-26'], array_map($iso, $days->between(Day::parse('2026-05-04'),
            Day::parse('2026-05-29'))));
        self::assertSame(['2026-05-05', '2026-05-09', '2026-05-23'], array_map($iso, PromisePattern::days($stall, Day::parse('2026-05-04'),
            Day::parse('2026-05-29'), 2)), 'the same weeks as if it had been open');
        self::assertSame([], PromisePattern::aboutAsTheYearBefore([self::promise('2025-05-17', 9)], $stall, Day::parse('2026-05-01'),
            Day::parse('2026-05-31'), 1.0), 'nothing while it is closed');
    }

    public function testASeasonIsSummedUpThreeWaysToOneIncome(): void
    {
        $totals = SeasonTotals::of(LittleGarden::on('2026-05-01', [], ['2026-05-09' => 10, '2026-05-16' => 20, '2027-01-02' => 99]),
            GrowingSeason::of(46.9, 2026)->books());

        self::assertSame([6000.0, 6000.0, 6000.0], [$totals->income, array_sum($totals->byOutlet), array_sum($totals->byProduct)]);
        self::assertSame([Day::parse('2026-05-09')->number => ['stall' => 2000.0],
            Day::parse('2026-05-16')->number => ['stall' => 4000.0]], $totals->byDay);
        self::assertSame(30.0, $totals->quantity['radish']['stall']);
    }

    private static function promise(string $day, float $quantity): Promise
    {
        return new Promise('stall', 'radish', Day::parse($day), $quantity);
    }

    /** In the south a season spans two calendar years: September to August, and the books from July to June. */
    public function testASeasonSpansTwoYearsInTheSouth(): void
    {
        $season = GrowingSeason::on(-40.0, Day::parse('2027-02-10'));

        self::assertSame(['2026/27', '2026-09-01', '2027-08-31'], [$season->name(), $season->first->iso(), $season->days()->last()->iso()]);
        self::assertSame(['2026-07-01', '2027-06-30'], [$season->books()->start->iso(), $season->books()->last()->iso()]);
        self::assertSame(['2026', '2026-03-01'], [GrowingSeason::on(46.9, Day::parse('2027-02-10'))->name(), GrowingSeason::on(46.9,
            Day::parse('2027-02-10'))->first->iso()]);
        self::assertSame('2027', GrowingSeason::on(46.9, Day::parse('2027-03-01'))->name());
    }
}
