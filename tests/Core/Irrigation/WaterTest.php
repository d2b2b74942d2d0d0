<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Irrigation;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Irrigation\BedWater;
use JollyFurrow\Irrigation\CropWater;
use JollyFurrow\Irrigation\DayWater;
use JollyFurrow\Irrigation\Evaporation;
use JollyFurrow\Irrigation\ValveWeek;
use JollyFurrow\Irrigation\WaterBalance;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Land\Valve;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Feeding;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class WaterTest extends TestCase
{
    /** FAO-56, example 20: Lyon, 45.72° N, July, 26.6 and 14.8 °C: 5.03 mm a day by Hargreaves (from memory). */
    public function testHargreavesAtLyon(): void
    {
        $sum = 0.0;
        for ($day = Day::parse('2026-07-01'); $day->isBefore(Day::parse('2026-08-01')); $day = $day->plus(1)) {
            $sum += Evaporation::hargreaves(14.8, 26.6, 45.72, $day);
        }

        self::assertEqualsWithDelta(5.03, $sum / 31, 0.05);
    }

    /** Lettuce gives off 0.7 of grass while it is small, 1.0 when it covers the ground, 0.95 at the end (FAO-56, table 12). */
    public function testByStage(): void
    {
        $water = Feeding::water()->rows[0];

        self::assertSame([0.7, 0.7, 0.85, 1.0, 1.0], array_map(static fn (float $way): float => round($water->factor($way), 6), [0.0, 0.25,
            0.45, 0.65, 1.0]));
        self::assertEqualsWithDelta([0.975, 0.95, 0.95], [$water->factor(1.2, 0.5), $water->factor(1.5, 1.0), $water->factor(2.0, 2.0)],
            1e-9);
    }

    /** What the crop gives off and rain does not bring is given, no more: the store at the end is what is lacking. */
    public function testTheBookOfWaterBalances(): void
    {
        $days = $this->balance(self::dry());
        $sum = static fn (\Closure $of): float => array_sum(array_map($of, $days));
        $last = end($days);
        self::assertInstanceOf(DayWater::class, $last);

        self::assertEqualsWithDelta($sum(static fn (DayWater $d): float => $d->uses), $sum(static fn (DayWater $d): float => $d->given)
            + $last->lacking - $last->given, 1e-9);
        self::assertGreaterThan(3, \count(array_filter($days, static fn (DayWater $d): bool => $d->given > 0.0)));
    }

    /** Rain of two mm stays whole, of ten 2 + 0.8 x 8; none gets under a roof. */
    public function testRain(): void
    {
        $rain = fn (float $mm, PlaceType $place): float => array_values($this->balance(self::dry($mm), $place))[0]->rain;

        self::assertEqualsWithDelta([2.0, 8.4, 0.0], [$rain(2.0, PlaceType::Field), $rain(10.0, PlaceType::Field),
            $rain(10.0, PlaceType::Tunnel)], 1e-9);
    }

    public function testFilmKeepsWaterIn(): void
    {
        $uses = fn (Mulch $mulch): float => array_sum(array_map(static fn (DayWater $d): float => $d->uses, $this->balance(self::dry(),
            mulch: $mulch)));

        self::assertEqualsWithDelta([0.85, 0.9], [$uses(Mulch::Film) / $uses(Mulch::None), $uses(Mulch::Straw) / $uses(Mulch::None)], 1e-9);
    }

    /** Onions are dried off for two weeks before they are lifted: the last water falls before. */
    public function testDryingOff(): void
    {
        $days = $this->balance(self::dry(), water: Feeding::water()->rows[1]);
        $given = array_keys(array_filter($days, static fn (DayWater $d): bool => $d->given > 0.0));

        self::assertLessThan(LittleGarden::lettuce('2026-04-01')->ready->number - 14, max(0, ...$given));
    }

    /**
     * 25.4 mm on 25 m x 75 cm are 476 l, 38.1 mm 714 l (common practice). Sprinklers waste a quarter, so a valve lets through
     * a third more; 20 l a minute take so many minutes.
     */
    public function testLitresAndMinutesByValve(): void
    {
        self::assertSame([476.0, 714.0], [round(25.4 * 25 * 0.75), round(38.1 * 25 * 0.75)]);
        $valve = new Valve('v1', 'North', ['A2'], 20.0, WaterWay::Overhead);
        $plan = $this->plan($valve);
        $week = array_values(array_filter($plan->weeks, static fn (array $valves): bool => $valves[0]->litres > 0.0))[0][0];

        self::assertEqualsWithDelta($week->beds[0]->mm * 7.5 / 0.75, $week->litres, 1e-6);
        self::assertEqualsWithDelta($week->litres / 20, $week->minutes(), 1e-9);
        self::assertSame(['North', 'A2'], [$week->valve?->name, $week->beds[0]->bed]);
    }

    /** Every two days is four times a week, whatever the sum says; the minutes are parted; nothing wanted, nothing opened. */
    public function testARhythmPartsTheMinutes(): void
    {
        $week = static fn (?int $every, int $times): ValveWeek => new ValveWeek(new Valve('v', 'V', [], 10.0, WaterWay::Drip, $every),
            Day::parse('2026-07-20'), [], 1200.0, $times);

        self::assertSame([3, 40.0], [$week(null, 3)->openings(), $week(null, 3)->minutesEach()]);
        self::assertSame([4, 30.0], [$week(2, 3)->openings(), $week(2, 3)->minutesEach()]);
        self::assertSame([0, null], [$week(2, 0)->openings(), $week(2, 0)->minutesEach()]);
    }

    /** 10 l an hour, eight hours, seven days: 560 l. What brings least a litre is let go first, until it is enough. */
    public function testADrought(): void
    {
        $plan = $this->plan(new Valve('v1', 'North', ['A1', 'A2'], 20.0, WaterWay::Hand), source: 2.0);
        $beds = static fn (int $day): int => array_sum(array_map(static fn (ValveWeek $v): int => \count($v->beds),
            $plan->week(Day::of($day))));
        $short = array_values(array_filter(array_keys($plan->weeks), static fn (int $day): bool => $plan->short(Day::of($day)) > 0.0
            && $beds($day) > 1));
        $monday = Day::of($short[0]);

        self::assertSame(112.0, $plan->source);
        self::assertEqualsWithDelta($plan->litres($monday) - 112.0, $plan->short($monday), 1e-9);
        $gone = $plan->letGo($monday);
        self::assertNotSame([], $gone);
        $all = array_merge(...array_map(static fn (ValveWeek $v): array => $v->beds, $plan->week($monday)));
        usort($all, static fn (BedWater $a, BedWater $b): int => $a->cents / $a->litres <=> $b->cents / $b->litres);
        self::assertGreaterThan(1, \count($all));
        self::assertSame($all[0]->bed, $gone[0]->bed, 'least money a litre');
    }

    private function plan(Valve $valve, ?float $source = null): WaterPlan
    {
        $garden = self::dry()->onSoil(new SoilBook(valves: [$valve], rules: new FeedRules(sourceLitres: $source)))->with([
            LittleGarden::lettuce('2026-04-01', standing: Standing::Growing), LittleGarden::radish('2026-05-01',
                standing: Standing::Growing)],
            Day::parse('2026-05-04'));

        return WaterPlan::of($garden, Book::crops(), Book::recipes(), Feeding::water(), DailyRecord::fromRows([]));
    }

    /** @return array<int, DayWater> */
    private function balance(Garden $garden, PlaceType $place = PlaceType::Field, Mulch $mulch = Mulch::None,
        ?CropWater $water = null): array
    {
        $lettuce = LittleGarden::lettuce('2026-04-01')->but(place: $place);

        return (new WaterBalance($garden, DailyRecord::fromRows([])))->of($lettuce, $water
            ?? Feeding::water()->rows[0], $garden->soil->soilOf($garden->beds[1], $garden->today), $mulch);
    }

    /** The little garden where it never rains, but for so many mm on the day the lettuce is planted. */
    private static function dry(float $mm = 0.0): Garden
    {
        $garden = LittleGarden::timed('2026-04-20');
        $rows = [];
        for ($day = Day::parse('2026-04-01'); $day->isBefore(Day::parse('2026-08-01')); $day = $day->plus(1)) {
            $rows[] = [$day->number, 8.0, 20.0, '2026-04-29' === $day->iso() ? $mm : 0.0];
        }

        return $garden->on($garden->today, DailyRecord::fromRows($rows));
    }
}
