<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Climate\Bell;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Growth\Heat;
use JollyFurrow\Maturity\RiskSums;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Odds of frost and heat, against what can be worked out on paper for weather that is the same all year. */
final class RiskSumsTest extends TestCase
{
    private const DAYS = 400;

    /** Areas under the normal curve, as any table has them (for one: Abramowitz & Stegun 1964, table 26.1). */
    #[TestWith([0.0, 0.5])]
    #[TestWith([1.0, 0.8413])]
    #[TestWith([1.28, 0.8997])]
    #[TestWith([-1.64, 0.0505])]
    #[TestWith([1.96, 0.975])]
    #[TestWith([-7.0, 0.0])]
    #[TestWith([7.0, 1.0])]
    public function testTheBellCurve(float $z, float $share): void
    {
        self::assertEqualsWithDelta($share, Bell::below($z), 0.00005);
    }

    /** Five points give the mean of a square, and of a fourth power, exactly: 1 and 3. */
    public function testAMeanOverTheSpread(): void
    {
        $mean = static fn (int $power): float => array_sum(array_map(static fn (array $p): float => $p[1] * $p[0] ** $power, Bell::POINTS));

        self::assertEqualsWithDelta([1.0, 0.0, 1.0, 3.0], [$mean(0), $mean(1), $mean(2), $mean(4)], 0.01);
    }

    /** A limit one spread below the nights: each is below it with odds of 0.1587, and nights that go together count once. */
    public function testNightsAreSurvivedOneAfterTheOther(): void
    {
        $weather = self::steady(5.0, 15.0);
        $spread = $weather->nights[100];
        $sums = RiskSums::spared($weather, 5.0 - $spread);
        $ofANight = -log(1 - 0.158655) / FrostDates::NIGHTS_TOGETHER;

        self::assertEqualsWithDelta($ofANight, ($sums[131] - $sums[101]) / 30, 0.02 * $ofANight);
    }

    /** A night that was measured is certain: below the limit nothing lives, above it nothing is lost. */
    #[TestWith([-3.0, true])]
    #[TestWith([-2.0, true])]
    #[TestWith([-1.9, false])]
    public function testAMeasuredNightIsCertain(float $low, bool $isDeadly): void
    {
        $day = Day::parse('2025-03-01');
        $weather = self::steady(5.0, 15.0, new DailyRecord([$day->number => $low], [$day->number => 9.0], []));
        $sums = RiskSums::spared($weather, -2.0);
        $n = $day->number - $weather->first;
        $odds = 1 - exp($sums[$n] - $sums[$n + 1]);

        self::assertEqualsWithDelta($isDeadly ? 1.0 : 0.0, $odds, 1e-9);
    }

    /** Half the days are hotter than the mean of the hottest; a warm night counts where nights do. */
    public function testHotDays(): void
    {
        $weather = self::steady(18.0, 30.0);
        $share = static function (Heat $heat) use ($weather): float {
            $sums = RiskSums::hot($weather, $heat);

            return ($sums[200] - $sums[100]) / 100;
        };

        self::assertEqualsWithDelta(0.5, $share(self::heat(30.0)), 0.01);
        self::assertLessThan(0.2, $share(self::heat(34.0)));
        self::assertEqualsWithDelta(0.5, $share(self::heat(34.0, 18.0)), 0.01);
    }

    private static function heat(float $day, ?float $night = null): Heat
    {
        return new Heat($day, $night, 0, 0.0, 1.0, null, false, false);
    }

    /** Weather that is the same on every day of the year. */
    private static function steady(float $low, float $high, ?DailyRecord $measured = null): Weather
    {
        $climate = Climate::fromMonths(MonthlyMeans::of(array_fill(0, 12, $low), array_fill(0, 12, $high), null));

        return Weather::of($climate, 45.0, Day::parse('2025-01-01'), self::DAYS, $measured);
    }
}
