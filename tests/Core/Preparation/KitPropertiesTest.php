<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Preparation;

use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\FreeBed;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Preparation\BedsAhead;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\RainQuestion;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\KitNeed;
use JollyFurrow\Working\Source;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What holds of beds ahead, kit and free beds in gardens made by chance. */
final class KitPropertiesTest extends TestCase
{
    private const SEEDS = [1, 4, 7, 12, 19];

    private static function recipes(): RecipeBook
    {
        $laid = [new Step('Lay', 30, 1.0, 'tarp', '', '', 40, 50, lays: Kit::Tarp), new Step('Lift', 3, 1.0, 'tarp', '', '',
            lifts: Kit::Tarp)];

        return Book::recipes()->with([
            new Recipe('compost-mulch', 'Tarped mulch', 'tarp', true, $laid, Source::practice()),
            new Recipe('fast-turn', 'Fast turn', 'turn', true, [new Step('Pull', 2, 3.0, 'sickle', '', '')], Source::practice()),
        ]);
    }

    /** @return array{Garden, CropBook} a planned garden with covers thrown over its beds */
    private static function garden(int $seed): array
    {
        $garden = RandomGarden::of($seed);
        $garden = $garden->with((new Planner(Book::crops(), self::recipes()))->draw($garden)->plantings());
        $chance = new Randomizer(new Mt19937($seed));
        $covers = [];
        foreach (range(1, 8) as $n) {
            $bed = $garden->beds[$chance->getInt(0, \count($garden->beds) - 1)];
            $from = $garden->today->plus($chance->getInt(-10, 100));
            $covers[] = Protection::overBed($bed->name, 0 === $n % 2 ? Cover::RowCover : Cover::LowTunnel, Purpose::Growth,
                Period::fromFirstToLast($from, $from->plus($chance->getInt(0, 60))));
        }

        return [$garden->covered($covers), Book::crops()];
    }

    /** Counted metre by metre and day by day the long way, no metre of a bed is under one kind of kit twice. */
    public function testNoMetreIsCountedTwice(): void
    {
        foreach (self::SEEDS as $seed) {
            [$garden] = self::garden($seed);
            $need = KitNeed::byWeek($garden, self::recipes());
            $all = array_sum(array_map(static fn ($bed): float => $bed->length->metres(), $garden->beds));
            $leads = new Leads($garden);
            foreach ($need['tarp'] ?? [] as $monday => $metres) {
                $most = 0.0;
                for ($day = $monday; $day < $monday + 7; ++$day) {
                    $under = [];
                    foreach ($garden->plantings as $planting) {
                        $steps = $planting->isOver($garden->today) ? [] : $leads->dated(self::recipes()->get($planting->recipe), $planting);
                        if ([] === $steps || null === $steps[0]->step->lays || $day < $steps[0]->day->number
                            || $day > $steps[1]->day->number) {
                            continue;
                        }
                        foreach ($planting->pieces as $piece) {
                            for ($at = $piece->from; $at < $piece->to; $at += 250) {
                                $under[$piece->bed.'/'.$at] = min(250, $piece->to - $at);
                            }
                        }
                    }
                    $most = max($most, array_sum($under) / Length::METRE);
                }
                self::assertEqualsWithDelta($most, $metres, 0.3, 'seed '.$seed.', '.Day::of($monday)->iso());
            }
            foreach ($need as $kit => $weeks) {
                self::assertLessThanOrEqual($all, max([0.0, ...array_values($weeks)]), $kit);
            }
        }
    }

    public function testMetresOfEveryWeekAddUp(): void
    {
        foreach (self::SEEDS as $seed) {
            [$garden] = self::garden($seed);
            foreach (PlaceType::cases() as $place) {
                foreach (BedsAhead::of($garden, $place) as $week) {
                    self::assertEqualsWithDelta($garden->metresOf($place), $week->standing + $week->inPreparation + $week->free, 0.001,
                        $place->value.' '.$week->monday->iso());
                }
            }
        }
    }

    /** Some weeks on, with nothing noted as begun: every mend fits its bed's own time and its crop's season. */
    public function testEveryMendOfALateBedWorks(): void
    {
        $mends = 0;
        foreach ([...self::SEEDS, ...self::SEEDS] as $n => $seed) {
            [$garden, $book] = self::garden($seed);
            $later = $garden->with($garden->plantings, $garden->today->plus($n < \count(self::SEEDS) ? 45 : 75));
            $leads = new Leads($later);
            foreach (LateBed::all($later, $book, self::recipes()) as $late) {
                if (null !== $late->quicker) {
                    ++$mends;
                    self::assertTrue($late->quicker->ground->equals($late->planting->ground)
                        && $late->quicker->ready->equals($late->planting->ready));
                    self::assertFalse($late->quicker->bedStart->isBefore($later->today));
                    self::assertSame($leads->days(self::recipes()->get($late->quicker->recipe), $late->quicker->ground),
                        $late->quicker->ground->since($late->quicker->bedStart));
                }
                if (null !== $late->later) {
                    ++$mends;
                    self::assertFalse($late->later->bedStart->isBefore($later->today));
                    self::assertFalse($late->later->ground->isBefore($late->planting->ground));
                    self::assertNull((new Here($later))->against($book->get($late->planting->item), $late->later->method,
                        $late->later->place, $late->later->sow, $late->later->ground));
                }
            }
        }
        self::assertGreaterThan(10, $mends);
    }

    /** More rain never misses fewer dates, nor misses them by less. */
    public function testMoreRainIsNeverBetter(): void
    {
        $dry = self::recipes()->with([new Recipe('compost-mulch', 'Harrowed', 'fork', true, [new Step('Clear', 9, 1.0, 'hoe', '', ''),
            new Step('Harrow', 3, 1.0, 'power harrow', '', '', needsDry: true)], Source::practice())]);
        foreach (self::SEEDS as $seed) {
            [$garden] = self::garden($seed);
            $before = [];
            foreach ([2, 5, 9, 14, 21] as $days) {
                $missed = [];
                foreach (RainQuestion::of($garden, $dry, $garden->today->plus(20), $days) as $one) {
                    $missed[$one->planting->key] = $one->daysLate;
                    self::assertGreaterThan(0, $one->daysLate);
                }
                foreach ($before as $key => $late) {
                    self::assertGreaterThanOrEqual($late, $missed[$key] ?? 0, $key.' after '.$days.' days');
                }
                $before = $missed;
            }
        }
    }

    /** Whatever a free bed is offered can be planted there. */
    public function testEveryOfferForAFreeBedFits(): void
    {
        $offers = 0;
        foreach (self::SEEDS as $seed) {
            [$garden, $book] = self::garden($seed);
            $free = new FreeBed($garden, $book, self::recipes(), []);
            foreach (\array_slice($garden->beds, 0, 3) as $bed) {
                $stretch = BedOutlook::of($bed, $garden->plantings->all(), $garden->today)[0];
                foreach (\array_slice($free->ways($stretch), 0, 12) as $way) {
                    ++$offers;
                    $planting = $way->planting($stretch->stretch, $garden->plantings->byKey());
                    $hard = array_filter((new Conflicts($book))->of($garden->with([...$garden->plantings, $planting]),
                        [$planting->key]), static fn (Conflict $c): bool => $c->isHard());
                    self::assertSame([], array_map(static fn (Conflict $c): string => Said::of($c->message), $hard), $planting->key);
                    self::assertSame($planting->key, PlantingKey::free($way->crop->item(), $way->sow, $garden->plantings->byKey()));
                }
            }
        }
        self::assertGreaterThan(20, $offers);
    }
}
