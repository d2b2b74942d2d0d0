<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\DayLength;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DayLengthTest extends TestCase
{
    /**
     * Against PHP's date_sun_info, which behaves like a sun height of -1.10 degrees: run at that, within 0.7 minutes, half
     * of it its rounding to seconds.
     */
    public function testAgreesWithPhpAtItsOwnAngle(): void
    {
        for ($latitude = -55; $latitude <= 60; $latitude += 5) {
            for ($day = Day::fromDate(2026, 1, 1); 2026 === $day->year(); $day = $day->plus(9)) {
                $sun = date_sun_info((int) strtotime($day->iso().' 12:00 UTC'), $latitude, 0.0);
                self::assertIsInt($sun['sunset']);
                self::assertIsInt($sun['sunrise']);
                self::assertEqualsWithDelta(($sun['sunset'] - $sun['sunrise']) / 3600, DayLength::hours($latitude, $day, -1.10),
                    0.7 / 60, $latitude.' '.$day->iso());
            }
        }
    }

    /**
     * FAO-56 (Allen et al. 1998), example 9: 20 degrees south, 3 September, 11.7 hours, geometric; its declination has one
     * term, ours four.
     */
    public function testFao56Example9(): void
    {
        self::assertEqualsWithDelta(11.7, DayLength::hours(-20, Day::fromDate(2026, 9, 3), 0.0), 0.07);
    }

    #[TestWith([66.0, '2026-06-21', 24.0])]
    #[TestWith([70.0, '2026-12-21', 0.0])]
    public function testPolarDayAndNight(float $latitude, string $day, float $hours): void
    {
        self::assertEqualsWithDelta($hours, DayLength::hours($latitude, Day::parse($day)), 0.01);
    }

    public function testTenHoursInTheNorthernGardenEndEarlyInNovember(): void
    {
        self::assertGreaterThan(10, DayLength::hours(46.9, Day::parse('2026-10-28')));
        self::assertLessThan(10, DayLength::hours(46.9, Day::parse('2026-11-10')));
    }
}
