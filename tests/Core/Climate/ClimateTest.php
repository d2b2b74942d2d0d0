<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyLight;
use JollyFurrow\Climate\DayLength;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\HeatUnits;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\SoilTemperature;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ClimateTest extends TestCase
{
    /** FAO Irrigation and Drainage Paper 56 (Allen et al. 1998), example 8: 20 degrees south, 3 September, 32.2 MJ m-2 d-1. */
    public function testExtraterrestrialRadiationOfFao56Example8(): void
    {
        self::assertEqualsWithDelta(32.2, DailyLight::extraterrestrial(-20, Day::parse('2026-09-03')), 0.05);
    }

    /** npm suncalc 2.0.2, sun's upper limb: within a minute from the equator to 60 degrees in both halves of the world, all year. */
    public function testDayLengthAgreesWithSuncalc(): void
    {
        $script = "import('suncalc').then(m=>{const s=m.default??m;const out=[];for(let lat=-60;lat<=60;lat+=15)for(let n=0;n<365;n+=7){const d=new Date(Date.UTC(2026,0,1+n,12));const t=s.getTimes(d,lat,0);out.push([lat,d.toISOString().slice(0,10),(t.sunset-t.sunrise)/36e5])}console.log(JSON.stringify(out))})";
        $rows = json_decode((string) shell_exec('cd '.escapeshellarg(\dirname(__DIR__, 3)).' && node -e '.escapeshellarg($script)), true);
        self::assertIsArray($rows);
        self::assertCount(9 * 53, $rows);
        foreach ($rows as $row) {
            self::assertIsArray($row);
            self::assertEqualsWithDelta($row[2], DayLength::hours(is_numeric($row[0]) ? (float) $row[0] : 0.0,
                Day::parse(\is_string($row[1]) ? $row[1] : '')), 1 / 60, json_encode($row, \JSON_THROW_ON_ERROR));
        }
    }

    /** Baskerville & Emin 1969 (Ecology 50: 514-517), against adding up the sine in ten thousand steps. */
    #[TestWith([5.0, 25.0, 10.0, \INF])]
    #[TestWith([12.0, 25.0, 10.0, \INF])]
    #[TestWith([5.0, 9.0, 10.0, \INF])]
    #[TestWith([5.0, 36.0, 10.0, 30.0])]
    public function testSingleSineAgainstSummingUp(float $min, float $max, float $base, float $ceiling): void
    {
        $sum = 0.0;
        for ($i = 0; $i < 10_000; ++$i) {
            $t = ($min + $max) / 2 + ($max - $min) / 2 * sin(2 * \M_PI * ($i + 0.5) / 10_000);
            $sum += max(0.0, min($ceiling, $t) - $base) / 10_000;
        }

        self::assertEqualsWithDelta($sum, HeatUnits::sine($min, $max, $base, $ceiling), 0.001);
    }

    /** The daily curve keeps the months' means and runs smoothly, over New Year too. */
    public function testTheDailyCurveKeepsTheMonthlyMeans(): void
    {
        $climate = Larkspur::climate();

        self::assertEqualsWithDelta([-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8], $climate->months()['min'], 0.02);
        for ($day = 0; $day < Climate::DAYS; ++$day) {
            self::assertLessThan(0.35, abs($climate->max[$day] - $climate->max[($day + 1) % Climate::DAYS]), 'day '.$day);
        }
        self::assertEqualsWithDelta(880.0, array_sum($climate->rain), 0.01);
    }

    public function testFrostDatesStandInOrderAndMirrorInTheSouth(): void
    {
        $north = FrostDates::of(Larkspur::climate(), false);
        $south = FrostDates::of(Larkspur::climate(-Larkspur::NORTH), true);
        foreach (['light', 'plain', 'hard'] as $grade) {
            $last = array_values($north->dates[$grade]['last']);
            $first = array_values($north->dates[$grade]['first']);
            self::assertTrue($last[0] > $last[1] && $last[1] > $last[2] && $first[0] < $first[1] && $first[1] < $first[2], $grade);
            self::assertEqualsWithDelta($last, array_values($south->dates[$grade]['last']), 4.0, $grade);
        }
        self::assertGreaterThan($north->dates['plain']['last']['0.1'], $north->dates['light']['last']['0.1']);
        self::assertSame('2026-05-05', Day::parse('2026-01-01')->plus((int) $north->dates['light']['last']['0.1'])->iso());
    }

    public function testWarmWetCornersOfTheWorldHaveNoFrost(): void
    {
        $tropics = Climate::fromMonths(MonthlyMeans::of(array_fill(0, 12, 21.0), array_fill(0, 12, 30.0), array_fill(0, 12, 200.0)));

        self::assertNull(FrostDates::of($tropics, false)->dates['light']['last']['0.1']);
    }

    /** @param array<string, list<float>> $wrong */
    #[TestWith([['max' => [2, 3, 4]], 'April has no values'])]
    #[TestWith([['min' => [30, 31, 33, 38, 46, 52, 55, 54, 48, 41, 35, 31], 'max' => [38, 41, 50, 59, 68, 73, 77, 76, 68, 58, 46, 39]], 'degrees Fahrenheit?'])]
    #[TestWith([['min' => [5, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]], 'January: the minimum, 5, is not below'])]
    #[TestWith([['rain' => [-1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]], 'January: -1 mm'])]
    public function testImpossibleMonthsAreRefusedByName(array $wrong, string $message): void
    {
        $this->expectException(InvalidClimate::class);
        $this->expectExceptionMessage($message);
        $values = [...['min' => array_fill(0, 12, 0.0), 'max' => array_fill(0, 12, 3.0), 'rain' => array_fill(0, 12, 50.0)], ...$wrong];
        MonthlyMeans::of(...array_map(static fn (array $line): array => array_map(floatval(...), $line), $values));
    }

    public function testSoilSwingsLessTheDeeperAndACoverWarms(): void
    {
        $shallow = SoilTemperature::of(14, 8, 20, 1);
        $deep = SoilTemperature::of(14, 8, 20, 5);
        self::assertGreaterThan($deep->high, $shallow->high);
        self::assertLessThan($deep->low, $shallow->low);

        $open = Larkspur::weather();
        $tunnel = $open->under(Cover::Tunnel);
        $july = Day::parse('2026-07-20')->number - $open->first;
        $march = Day::parse('2026-03-10')->number - $open->first;
        self::assertEqualsWithDelta(8.0 * min(1.0, $tunnel->light[$march] / 10.0), $tunnel->max[$march] - $open->max[$march], 0.01);
        self::assertEqualsWithDelta($open->max[$july] + 3.0, $tunnel->max[$july], 0.01, 'opened when it gets too warm, and still warmer');
        self::assertGreaterThanOrEqual(6.0, min([99.0, ...$open->under(Cover::Heated)->min]));
    }
}
