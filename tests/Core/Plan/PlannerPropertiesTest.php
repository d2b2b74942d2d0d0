<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Joint\Progress;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What must hold of every plan, whatever the garden. The checks work from the plantings alone, day by day. */
final class PlannerPropertiesTest extends TestCase
{
    /** @var array<int, array{Garden, Plan}> */
    private static array $drawn = [];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            yield 'garden '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testNoTwoPlantingsOnOneStretchAndAllInTheRightPlace(int $seed): void
    {
        [$garden, $plan] = self::drawn($seed);
        $beds = $garden->bedsByName();
        $onBed = [];
        foreach ($plan->plantings() as $planting) {
            self::assertGreaterThanOrEqual($garden->today->number, $planting->bedStart->number);
            foreach ($planting->pieces as $piece) {
                self::assertSame($planting->place, $beds[$piece->bed]->place);
                self::assertLessThanOrEqual($beds[$piece->bed]->length->micrometres, $piece->to);
                foreach ($onBed[$piece->bed] ?? [] as [$other, $from, $to]) {
                    $apart = $planting->clear->number < $other->bedStart->number || $other->clear->number < $planting->bedStart->number
                        || $piece->to <= $from || $to <= $piece->from;
                    self::assertTrue($apart, \sprintf('%s and %s share ground on %s.', $planting->key, $other->key, $piece->bed));
                }
                $onBed[$piece->bed][] = [$planting, $piece->from, $piece->to];
            }
        }
        self::assertNotSame([], $garden->promises);
    }

    #[DataProvider('seeds')]
    public function testNothingCountsBeforeItIsReadyOrAfterItsKeepingTime(int $seed): void
    {
        [$garden, $plan] = self::drawn($seed);
        foreach ($plan->needs as $item => $needs) {
            $plantings = array_values(array_filter($plan->plantings(), static fn (Planting $p): bool => $p->item === $item));
            $byKey = array_combine(array_map(static fn (Planting $p): string => $p->key, $plantings), $plantings);
            $lots = array_merge([], ...array_map(static fn (Planting $p): array => Lot::of($p, Book::crops()->get($p->item)), $plantings));
            foreach (Allocation::of($needs, $lots)->from as $j => $sources) {
                foreach (array_keys($sources) as $key) {
                    self::assertGreaterThanOrEqual($byKey[$key]->ready->number, $needs[$j]->day);
                    self::assertLessThanOrEqual($byKey[$key]->clear->number + $needs[$j]->reach, $needs[$j]->day);
                }
            }
        }
        self::assertNotSame([], $garden->promises);
    }

    #[DataProvider('seeds')]
    public function testEveryPlantingGivesNoMoreThanItYields(int $seed): void
    {
        [, $plan] = self::drawn($seed);
        $given = [];
        foreach ($plan->needs as $item => $needs) {
            $lots = array_merge([], ...array_map(static fn (Planting $p): array => $p->item === $item
                ? Lot::of($p, Book::crops()->get($item)) : [], $plan->plantings()));
            foreach (Allocation::of($needs, $lots)->from as $sources) {
                foreach ($sources as $key => $units) {
                    $given[$key] = ($given[$key] ?? 0) + $units;
                }
            }
        }
        foreach ($plan->plantings() as $planting) {
            self::assertLessThanOrEqual($planting->perMetre * $planting->length()->metres() + 1e-6, $given[$planting->key] ?? 0);
        }
        self::assertSame(array_sum(array_map(array_sum(...), $plan->served)), array_sum($given));
    }

    #[DataProvider('seeds')]
    public function testSupplyCoversThePromiseWhereNothingIsReportedShort(int $seed): void
    {
        [$garden, $plan] = self::drawn($seed);
        $short = [];
        foreach ($plan->shortages as $shortage) {
            $short[$shortage->item][$shortage->day->number] = ($short[$shortage->item][$shortage->day->number] ?? 0) + $shortage->units;
        }
        $missing = [];
        foreach ($plan->needs as $item => $needs) {
            foreach ($needs as $j => $need) {
                $missing[$item][$need->day] = ($missing[$item][$need->day] ?? 0) + $need->units - $plan->served[$item][$j];
            }
            foreach ($missing[$item] ?? [] as $day => $units) {
                self::assertSame($units, $day < $garden->today->number ? $units : ($short[$item][$day] ?? 0),
                    $item.' on '.Day::of($day)->iso());
            }
        }
    }

    /** Three beds for 200 bunches a week, sown on any day: crops follow each other to the day, and never share one. */
    public function testADenseGardenUsesEachDayOnce(): void
    {
        $promises = [];
        for ($day = Day::parse('2026-05-16'); $day->isBefore(Day::parse('2026-10-10')); $day = $day->plus(7)) {
            $promises[$day->iso()] = 200;
        }
        $garden = LittleGarden::on('2026-03-02', [], $promises);
        $s = $garden->settings;
        $garden = $garden->set(new Settings($s->units, $s->currency, Weekday::cases(), $s->recipe, $s->rent, $s->shortageFactor,
            $s->keepingShare, $s->wage, $s->rotation, $s->compostDepth, $s->nitrogenRate, $s->fertiliserNitrogen, $s->kit, $s->rules));
        $onBed = [];
        $closest = \PHP_INT_MAX;
        foreach ((new Planner(Book::crops(), Book::recipes()))->draw($garden)->plantings() as $planting) {
            foreach ($planting->pieces as $piece) {
                foreach ($onBed[$piece->bed] ?? [] as [$other, $theirs]) {
                    $after = max($planting->bedStart->since($other->clear), $other->bedStart->since($planting->clear));
                    $closest = $piece->sharesGroundWith($theirs) ? min($closest, $after) : $closest;
                }
                $onBed[$piece->bed][] = [$planting, $piece];
            }
        }

        self::assertSame(1, $closest, 'the next is made ready the day after the one before is cleared');
    }

    public function testSameGardenSamePlan(): void
    {
        foreach ([3, 8, 21] as $seed) {
            self::assertEquals(self::drawn($seed)[1], self::planner()->draw(RandomGarden::of($seed)));
        }
    }

    public function testStoppedEarlyItLeavesTheCropsItDidNotReachAsTheyAre(): void
    {
        $seed = 1;
        do {
            [$garden, $plan] = self::drawn($seed);
            $reached = \array_slice(array_keys($plan->needs), 0, 2);
        } while ([] === array_filter($plan->new, static fn (Planting $p): bool => !\in_array($p->item, $reached, true)) && ++$seed < 40);
        $stopped = self::planner()->draw($garden->with($plan->plantings()), new class implements Progress {
            public function at(int $done, int $of, string $item): bool
            {
                return $done < 2;
            }
        });
        $beyond = static fn (Planting $p): bool => !\in_array($p->item, $reached, true);

        self::assertTrue($stopped->stoppedEarly);
        self::assertNotSame([], array_filter($plan->new, $beyond));
        self::assertEqualsCanonicalizing(array_filter($plan->plantings(), $beyond), array_filter($stopped->plantings(), $beyond));
    }

    public function testDrawingUpAgainLeavesWhatIsLockedBegunOrNearAsItIs(): void
    {
        [$garden, $plan] = self::drawn(11);
        $again = self::planner()->draw($garden->with($plan->new));
        $near = $garden->today->plus(Planner::FROZEN_DAYS);
        $staying = array_filter($plan->new, static fn (Planting $p): bool => $p->firstWork()->isBefore($near));

        self::assertEquals(array_values($staying), $again->kept);
        foreach ($again->new as $planting) {
            self::assertNotContains($planting->key, array_map(static fn (Planting $p): string => $p->key, $again->kept));
        }
    }

    /** @return array{Garden, Plan} */
    private static function drawn(int $seed): array
    {
        $garden = RandomGarden::of($seed);

        return self::$drawn[$seed] ??= [$garden, self::planner()->draw($garden)];
    }

    private static function planner(): Planner
    {
        return new Planner(Book::crops(), Book::recipes());
    }
}
