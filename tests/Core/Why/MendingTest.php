<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Why;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\PlanFigures;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\Alternative;
use JollyFurrow\Why\Choice;
use JollyFurrow\Why\Mending;
use JollyFurrow\Why\MendWay;
use JollyFurrow\Why\PlantingReasons;
use JollyFurrow\Why\TightWeeks;
use JollyFurrow\Why\WishCost;
use PHPUnit\Framework\TestCase;

/** Mends, reasons and figures are what really becomes of the plan, reckoned anew each time. */
final class MendingTest extends TestCase
{
    /** Every way, taken, is possible and fills as much as it says. */
    public function testEveryWayDoesWhatItSays(): void
    {
        $tried = 0;
        foreach ([2, 5, 9, 14] as $seed) {
            $garden = RandomGarden::of($seed);
            $garden = $garden->with(self::planner()->draw($garden)->plantings());
            foreach (array_unique(array_map(static fn ($s): string => $s->item,
                self::planner()->asItStands($garden)->shortages)) as $item) {
                foreach ((new Mending($garden, Book::crops(), Book::recipes()))->of($item) as $way) {
                    $after = self::after($garden, $way);
                    self::assertSame(self::short($garden, $item) - $way->units, self::short($after, $item), $way->key);
                    self::assertSame([], array_filter((new Conflicts(Book::crops()))->of($after,
                        array_map(static fn (Planting $p): string => $p->key, $way->new)),
                        static fn (Conflict $c): bool => $c->isHard()), $way->key);
                    ++$tried;
                }
            }
        }
        self::assertGreaterThan(20, $tried);
    }

    public function testTheBestComesFirstAndNoWayIsOfferedForWhatIsNotShort(): void
    {
        $garden = LittleGarden::on('2026-05-01', [], ['2026-06-20' => 60]);
        $ways = (new Mending($garden, Book::crops(), Book::recipes()))->of('radish');

        self::assertNotSame([], $ways);
        self::assertSame(array_map(static fn (MendWay $w): float => $w->gain(), $ways),
            array_reverse(array_values(self::sorted(array_map(static fn (MendWay $w): float => $w->gain(), $ways)))));
        self::assertGreaterThanOrEqual(60, $ways[0]->units);
        self::assertSame([], (new Mending($garden, Book::crops(), Book::recipes()))->of('lettuce-head'));
    }

    public function testWhereNoBedIsFreeAnotherPlantingIsGivenUp(): void
    {
        $full = [];
        $day = Day::parse('2026-05-20');
        $long = new Dates($day, $day->plus(10), $day->plus(2), $day->plus(60), $day->plus(90));
        foreach (['A1', 'A2', 'A3', 'T1'] as $n => $bed) {
            $full[] = LittleGarden::lettuce('2026-05-12', $bed, 0, 20_000_000)->but(key: 'lettuce-head@2026-05-12#'.($n + 1),
                place: 'T1' === $bed ? PlaceType::Tunnel : PlaceType::Field, dates: $long);
        }
        $garden = LittleGarden::on('2026-05-01', $full, ['2026-07-11' => 60]);
        $kinds = array_map(static fn (MendWay $w): string => Said::of($w->kind),
            (new Mending($garden, Book::crops(), Book::recipes()))->of('radish'));

        self::assertSame(['instead-of crop=head lettuce'], array_values(array_unique($kinds)));
    }

    /** The runner-up of each question, put in its place, costs what is said of it and serves what is said of it. */
    public function testReasonsNameARunnerUp(): void
    {
        $garden = LittleGarden::on('2026-05-01', [LittleGarden::radish('2026-05-19', 'A1', 0, 10_000_000)], ['2026-06-20' => 60]);
        $reasons = (new PlantingReasons($garden, Book::crops(), Book::recipes(), $garden->plantings->all()[0]))->all();

        self::assertSame([Choice::Day, Choice::VarietyAndMethod, Choice::Length, Choice::Bed],
            array_map(static fn (Alternative $a): Choice => $a->question, $reasons));
        [$day, , $length, $bed] = $reasons;
        self::assertSame('sown-ready sow=2026-05-19 ready=2026-06-18', Said::of($day->chosen));
        self::assertSame('sown sow=2026-05-12', Said::of($day->other));
        $other = LittleGarden::radish('2026-05-12', 'A1', 0, 10_000_000);
        self::assertSame(self::short($garden->with([$other]), 'radish') - self::short($garden, 'radish'), $day->units);
        self::assertEqualsWithDelta(0.0, $day->more, 1e-6, 'the same length and stay, and it serves as much');
        self::assertStringStartsWith('step-longer', Said::of($length->other));
        self::assertSame('bed-fits beds=A1', Said::of($bed->chosen));
        self::assertSame('bed-bends beds=A2 rules=sliver', Said::of($bed->other));
    }

    public function testTightWeeksAreThoseWithHardlyABedFree(): void
    {
        $full = [LittleGarden::radish('2026-06-02', 'A1', 0, 20_000_000), LittleGarden::radish('2026-06-02', 'A2', 0, 20_000_000,
            number: 2),
            LittleGarden::radish('2026-06-02', 'A3', 0, 16_000_000, number: 3)];
        $garden = LittleGarden::on('2026-05-04', $full);
        [$run] = $tight = TightWeeks::of($garden, Book::crops(), []);

        self::assertCount(1, $tight);
        self::assertSame(['field', '2026-05-25', '2026-07-12', 4.0], [$run->place->value, $run->from->iso(), $run->until->iso(),
            $run->free]);
        self::assertSame([], TightWeeks::of($garden->with(\array_slice($full, 0, 2)), Book::crops(), []));
    }

    public function testFiguresAddUp(): void
    {
        $garden = LittleGarden::on('2026-05-01', [LittleGarden::radish('2026-05-19', 'A1', 0, 10_000_000)], ['2026-06-20' => 60]);
        $figures = PlanFigures::of($garden, self::planner(), Book::crops(), Book::recipes());

        self::assertSame([1.0, 10.0 * 42, 64 * 200.0], [$figures->kept, $figures->bedDays, $figures->income]);
        self::assertEqualsWithDelta(0.5 + 7.0 * 10 / 100, $figures->hours, 0.2);
        self::assertSame($figures->income - $figures->direct, $figures->left());
    }

    /** Rounder lengths, fewer sowings and a reserve never make the beds fewer. */
    public function testWishesCostBed(): void
    {
        $garden = LittleGarden::on('2026-04-01', [], ['2026-06-06' => 210, '2026-06-13' => 170, '2026-06-20' => 350,
            '2026-06-27' => 220, '2026-07-04' => 310]);
        $costs = [];
        foreach (WishCost::all($garden->set($garden->settings->ruledBy($garden->settings->rules->wishing(reserve: 0.2))), Book::crops(),
            Book::recipes()) as $cost) {
            $costs[$cost->wish] = $cost;
        }

        self::assertArrayHasKey('sowing on Tuesday only', $costs);
        self::assertGreaterThan(0.0, $costs['20 % in reserve']->bedDays);
        foreach ($costs as $wish => $cost) {
            self::assertGreaterThanOrEqual(-1e-6, $cost->cents, $wish);
        }
    }

    private static function planner(): Planner
    {
        return new Planner(Book::crops(), Book::recipes());
    }

    private static function after(Garden $garden, MendWay $way): Garden
    {
        $gone = array_flip(array_map(static fn (Planting $p): string => $p->key, $way->old));

        return $garden->with([...$garden->plantings->where(static fn (Planting $p): bool => !isset($gone[$p->key])), ...$way->new]);
    }

    private static function short(Garden $garden, string $item): int
    {
        return array_sum(array_map(static fn ($s): int => $s->item === $item ? $s->units : 0,
            self::planner()->asItStands($garden)->shortages));
    }

    /**
     * @param list<float> $numbers
     *
     * @return list<float>
     */
    private static function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
