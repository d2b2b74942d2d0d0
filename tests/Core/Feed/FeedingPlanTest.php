<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Feed;

use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Feed\Credit;
use JollyFurrow\Feed\CreditKind;
use JollyFurrow\Feed\FeedDay;
use JollyFurrow\Feed\Leftovers;
use JollyFurrow\Feed\PieceFeed;
use JollyFurrow\Feed\PlantingFeed;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Area;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Feeding;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class FeedingPlanTest extends TestCase
{
    /** Middling soil, no organic matter: 200, 150, 150 kg a hectare are 20, 15, 15 g a square metre. */
    public function testTheNeedOfItsRow(): void
    {
        $feed = $this->lettuce(self::bare());

        self::assertEqualsWithDelta([20.0, 15.0, 15.0], $feed->pieces[0]->need->list(), 1e-9);
        self::assertEqualsWithDelta([20.0, 15.0, 15.0], $feed->pieces[0]->left->list(), 1e-9);
        self::assertEqualsWithDelta(7.5, $feed->pieces[0]->area->squareMetres, 1e-9);
    }

    public function testAShareOfTheWidthIsFedAsThat(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-01');
        $half = $lettuce->but(pieces: [Stretch::of('A2', 0, 10_000_000, 0.6)]);

        self::assertEqualsWithDelta(4.5,
            array_values(Feeding::plan(self::bare(plantings: [$half]))->plantings)[0]->pieces[0]->area->squareMetres,
            1e-9);
    }

    /** Half of the book's harvest asks for half; a tenth for half too, four times as much for one and a half. */
    public function testByTheYieldHopedFor(): void
    {
        $n = fn (float $perMetre): float => $this->lettuce(self::bare(), $perMetre)->pieces[0]->need->n;

        self::assertEqualsWithDelta([20.0, 14.0, 10.0, 30.0], [$n(9.0), $n(6.3), $n(0.9), $n(36.0)], 1e-9);
    }

    /** Beans take their nitrogen from the air; the rest of their need stays. */
    public function testLegumesTakeNoNitrogen(): void
    {
        $bean = new Planting('bean-bush@2026-05-20#1', 'bean-bush', Method::Sown, PlaceType::Field, 'compost-mulch',
            Day::parse('2026-05-20'),
            Day::parse('2026-05-20'), Day::parse('2026-05-15'), Day::parse('2026-07-20'), Day::parse('2026-08-10'), 16.0,
            [Stretch::of('A1', 0,
                5_000_000)], Standing::Planned, false);
        $need = array_values(Feeding::plan(self::bare(plantings: [$bean]))->plantings)[0]->pieces[0]->need;

        self::assertEqualsWithDelta([0.0, 7.5, 7.5], $need->list(), 1e-9);
    }

    public function testByTheSoilsLevel(): void
    {
        $of = fn (float $p, float $k): array => $this->lettuce(self::bare(tests: [new SoilTest('t', 'A2', '', Day::parse('2025-10-01'),
            p: $p,
            pBy: Extract::Olsen, k: $k, kBy: Extract::AmmoniumNitrate)]))->pieces[0]->need->list();

        self::assertEqualsWithDelta([20.0, 25.0, 25.0], $of(5.0, 50.0), 1e-9);
        self::assertEqualsWithDelta([20.0, 0.0, 0.0], $of(80.0, 500.0), 1e-9);
    }

    /** 40 % at planting on 29 April with all the minerals, the rest on four days, ten apart. */
    public function testSplitByStage(): void
    {
        $feed = $this->lettuce(self::bare());

        self::assertSame(['2026-04-29', '2026-05-09', '2026-05-19', '2026-05-29', '2026-06-08'],
            \array_slice(array_map(static fn (FeedDay $d): string => $d->day->iso(), $feed->doses()), 0, 5));
        self::assertEqualsWithDelta([8.0, 15.0, 15.0], $feed->dose($feed->pieces[0], 0)->list(), 1e-9);
        self::assertSame([0.0, 0.0], [$feed->dose($feed->pieces[0], 1)->p2o5, $feed->dose($feed->pieces[0], 1)->k2o]);
        self::assertEqualsWithDelta($feed->pieces[0]->left->list(), Nutrients::sum(array_map(static fn (int $n): Nutrients => $feed->dose(
            $feed->pieces[0], $n), array_keys($feed->doses())))->list(), 1e-9);
    }

    /** 281 g N at 40, 30 and 30 %: 112.5, 84.4, 84.4 g (common practice). */
    public function testSharesOfPractice(): void
    {
        $grams = array_map(static fn (float $part): float => round(Nutrients::of(281.25, 0.0, 0.0)->shared($part, 1.0, 1.0)->n, 1),
            [0.4, 0.3, 0.3]);

        self::assertSame([112.5, 84.4, 84.4], $grams);
    }

    /**
     * 3 % of organic matter: 67.2 kg a hectare and year, by the warmth from 29 April to 21 June. More than is needed is never
     * used: the rest is carried.
     */
    public function testCreditIsUsedUpToTheNeedAndTheRestGoesOn(): void
    {
        $compost = new Spread('s', 'A2', Day::parse('2026-04-10'), 'compost', 100.0, Nutrients::of(1.0, 1.0, 1.0), Release::Compost,
            Heat::Composted, Area::fromSquareMetres(10.0));
        $garden = self::bare(spreads: [$compost], plantings: [LittleGarden::lettuce('2026-04-01'), LittleGarden::radish('2026-07-01',
            'A2')]);
        $plan = Feeding::plan($garden);
        $lettuce = $plan->plantings['lettuce-head@2026-04-01#1']->pieces[0];
        $radish = $plan->plantings['radish@2026-07-01#1']->pieces[0];

        self::assertEqualsWithDelta([15.0, 100.0, 100.0], self::from($lettuce, CreditKind::Spread)->list(), 1e-9);
        self::assertEqualsWithDelta([5.0, 0.0, 0.0], $lettuce->left->list(), 1e-9);
        self::assertEqualsWithDelta([0.0, 85.0, 85.0], $lettuce->surplus->list(), 1e-9);
        self::assertEqualsWithDelta([0.0, 85.0, 85.0], self::from($radish, CreditKind::Carried)->list(), 1e-9);
        self::assertTrue(self::from($radish, CreditKind::Spread)->isNone(), 'the crop before had that year of it');
        self::assertEqualsWithDelta([10.0, 0.0, 0.0], $radish->left->list(), 1e-9);
    }

    public function testOrganicMatter(): void
    {
        $n = fn (float $percent): float => self::from($this->lettuce(self::bare(organic: $percent))->pieces[0],
            CreditKind::OrganicMatter)->n;

        self::assertEqualsWithDelta($n(1.0) * 3, $n(3.0), 1e-9);
        self::assertEqualsWithDelta($n(5.0), $n(9.0), 1e-9, 'more is not reckoned with');
        self::assertGreaterThan(0.2 * 2.24, $n(1.0));
        self::assertLessThan(0.5 * 2.24, $n(1.0));
    }

    public function testSchools(): void
    {
        $after = static fn (FeedSchool $school): array => array_map(static fn (PlantingFeed $f): float => round($f->pieces[0]->need->n, 6),
            array_values(Feeding::plan(self::bare(rules: new FeedRules($school, compost: CompostWay::None, organic: 0.0), plantings: [
                LittleGarden::radish('2026-03-20', 'A2'), LittleGarden::lettuce('2026-05-01')]))->plantings));

        self::assertSame([10.0, 20.0], $after(FeedSchool::ByTest));
        self::assertSame([10.0, 10.0], $after(FeedSchool::StandingDose), '100 kg a hectare on all');
        self::assertSame([10.0, 0.0], $after(FeedSchool::WhereLittleIsLeft), 'radishes leave enough');
    }

    /** Compost the preparation brings counts once a year, or with each crop, as the garden has it. */
    public function testCompostOfThePreparation(): void
    {
        $composted = static fn (CompostWay $way): array => array_map(static fn (PlantingFeed $f): bool => !self::from($f->pieces[0],
            CreditKind::Compost)->isNone(), array_values(Feeding::plan(self::bare(rules: new FeedRules(compost: $way), plantings: [
                LittleGarden::radish('2026-03-20', 'A2'), LittleGarden::lettuce('2026-05-01')]))->plantings));

        self::assertSame([true, false], $composted(CompostWay::OnceAYear));
        self::assertSame([true, true], $composted(CompostWay::EachCrop));
        self::assertSame([false, false], $composted(CompostWay::None));
    }

    /** Metre by metre: a half of the bed leaves to what stands on that half, nitrogen not over a winter. */
    public function testLeftovers(): void
    {
        $left = new Leftovers();
        $left->leave(Stretch::of('A1', 0, 10_000_000), Nutrients::of(4.0, 8.0, 6.0), Day::parse('2026-06-01'));

        self::assertEqualsWithDelta([2.0, 4.0, 3.0], $left->take(Stretch::of('A1', 8_000_000, 12_000_000),
            Day::parse('2026-07-01'))->list(), 1e-9);
        self::assertEqualsWithDelta([0.0, 8.0, 6.0], $left->take(Stretch::of('A1', 0, 8_000_000), Day::parse('2027-03-01'))->list(), 1e-9);
        self::assertTrue($left->take(Stretch::of('A1', 0, 20_000_000), Day::parse('2027-03-02'))->isNone(), 'it was taken');
    }

    /** What stands for years has its year's need each spring, half a year later in the south; one year of organic matter. */
    public function testPerennials(): void
    {
        $rhubarb = new Planting('rhubarb@2024-04-10#1', 'rhubarb', Method::Transplanted, PlaceType::Field, 'compost-mulch',
            Day::parse('2024-04-10'),
            Day::parse('2024-04-10'), Day::parse('2024-04-01'), Day::parse('2026-05-01'), Day::parse('2026-12-31'), 28.0,
            [Stretch::of('A1', 0,
                5_000_000)], Standing::Growing, false);
        $feed = array_values(Feeding::plan(self::bare(organic: 3.0, plantings: [$rhubarb]))->plantings)[0];

        self::assertSame(['2025-03-25', '2026-03-25'], array_map(static fn (FeedDay $d): string => $d->day->iso(), $feed->doses()));
        self::assertEqualsWithDelta($feed->pieces[0]->left->list(), $feed->dose($feed->pieces[0], 1)->list(), 1e-9,
            'all of it, minerals too');
        self::assertEqualsWithDelta(6.72, self::from($feed->pieces[0], CreditKind::OrganicMatter)->n, 1e-9);
    }

    /** Over gardens by chance: nothing negative, used never over the need, what is there is used or surplus, parts sum to one. */
    public function testProperties(): void
    {
        $checked = 0;
        for ($seed = 1; $seed <= 6; ++$seed) {
            foreach (Feeding::plan($this->drawn($seed))->plantings as $feed) {
                $parts = array_sum(array_map(static fn (FeedDay $d): float => $d->part, $feed->doses()));
                $isYearly = Pattern::Perennial === Book::crops()->get($feed->planting->item)->pattern;
                self::assertTrue($isYearly || [] === $feed->doses() || abs($parts - 1.0) < 1e-9);
                foreach ($feed->pieces as $piece) {
                    ++$checked;
                    $there = Nutrients::sum(array_map(static fn (Credit $c): Nutrients => $c->gives, $piece->credits));
                    self::assertEqualsWithDelta($there->list(), $piece->used->plus($piece->surplus)->list(), 1e-9);
                    self::assertEqualsWithDelta($piece->need->list(), $piece->used->plus($piece->left)->list(), 1e-9);
                    self::assertGreaterThanOrEqual(-1e-12, min([...$piece->used->list(), ...$piece->surplus->list(),
                        ...$piece->left->list()]));
                }
            }
        }
        self::assertGreaterThan(30, $checked);
    }

    private function drawn(int $seed): Garden
    {
        $garden = RandomGarden::of($seed);

        return $garden->with((new Planner(Book::crops(), Book::recipes()))->draw($garden)->plantings());
    }

    private static function from(PieceFeed $piece, CreditKind $kind): Nutrients
    {
        return Nutrients::sum(array_values(array_map(static fn (Credit $c): Nutrients => $c->gives, array_filter($piece->credits,
            static fn (Credit $c): bool => $c->kind === $kind))));
    }

    private function lettuce(Garden $garden, float $perMetre = 9.0): PlantingFeed
    {
        $lettuce = LittleGarden::lettuce('2026-04-01');
        $plan = Feeding::plan($garden->with([$lettuce->but(perMetre: $perMetre)]));

        return array_values($plan->plantings)[0];
    }

    /**
     * No organic matter and no compost, unless it is said.
     *
     * @param list<SoilTest>      $tests
     * @param list<Spread>        $spreads
     * @param list<Planting>|null $plantings
     */
    private static function bare(array $tests = [], array $spreads = [], float $organic = 0.0, ?FeedRules $rules = null,
        ?array $plantings = null): Garden
    {
        $rules ??= new FeedRules(compost: CompostWay::None, organic: $organic);

        return LittleGarden::timed('2026-03-20', $plantings ?? [])->onSoil(new SoilBook($tests, [], $spreads, [], $rules));
    }
}
