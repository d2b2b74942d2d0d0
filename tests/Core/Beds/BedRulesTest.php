<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Beds\BedOffer;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\BlockRules;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Message\Code;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidate;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Which bed, by rule: two blocks of three beds, one crop asked for at a time. */
final class BedRulesTest extends TestCase
{
    public function testHardRulesKeepOff(): void
    {
        $rest = new RestingBed(Period::fromFirstToLast(Day::parse('2026-06-01'), Day::parse('2026-06-10')));
        $garden = self::garden(new PlanRules(resting: ['A1' => [$rest]], notHere: [new NotHere('Cabbage', 'A2'),
            new NotHere('kale', 'A3'), new NotHere('kale', 'B')]));

        self::assertSame([], self::offer($garden, 'kale')->pieces, 'every bed is closed to it');
        self::assertSame('A3', self::bed($garden, 'broccoli'), 'a rest, and its family');
        self::assertSame('A2', self::bed($garden, 'lettuce-head'));
    }

    public function testARestBesideTheStayClosesNothing(): void
    {
        $rest = static fn (string $from, string $to): array => ['A1' => [new RestingBed(Period::fromFirstToLast(Day::parse($from),
            Day::parse($to)))]];

        self::assertSame('A1', self::bed(self::garden(new PlanRules(resting: $rest('2026-01-01', '2026-04-14'))), 'kale'));
        self::assertSame('A2', self::bed(self::garden(new PlanRules(resting: $rest('2026-01-01', '2026-04-15'))), 'kale'));
    }

    public function testABlockIsKeptForItsFamiliesAsLongAsThereIsRoom(): void
    {
        $garden = self::garden(new PlanRules(['A' => new BlockRules(families: ['Cabbage'])]));

        self::assertSame(['A1', 'B1'], [self::bed($garden, 'kale'), self::bed($garden, 'lettuce-head')]);
        $full = self::choice($garden);
        foreach (['B1', 'B2', 'B3'] as $bed) {
            $full->take(self::stands('chard', $bed));
        }
        $offer = $full->offer(self::candidate('lettuce-head'), 12_500_000, self::day('2026-07-09'));
        self::assertSame(['A1', ['block', 'sliver']], [$offer->pieces[0]->bed, array_keys($offer->bent)]);
        self::assertSame('outside-its-block family=Daisy bed=A1', Said::of($offer->remarks()[0]));
    }

    /** A block's own preparation takes its beds sooner, and is the planting's recipe; a crop's own goes first. */
    public function testABlocksRecipeCountsInTheStay(): void
    {
        $garden = self::garden(new PlanRules(['A' => new BlockRules('tarp-shallow-till')]));
        $choice = self::choice($garden);
        foreach (['B1', 'B2', 'B3'] as $bed) {
            $choice->take(self::stands('chard', $bed));
        }
        $offer = $choice->offer(self::candidate('kale'), 12_500_000, self::day('2026-07-09'));

        self::assertSame(['A1', 'tarp-shallow-till'], [$offer->pieces[0]->bed, $offer->recipe]);
        self::assertLessThan(self::candidate('kale')->bedStart - 20, $offer->start);
        $late = self::garden(new PlanRules(['A' => new BlockRules('tarp-shallow-till')]), today: '2026-04-10');
        self::assertSame('B1', self::bed($late, 'kale'), 'no time for the tarp any more');
    }

    /** Tough-rooted weeds want the first step two weeks sooner. */
    public function testToughWeedsTakeTheBedSooner(): void
    {
        $garden = self::garden(new PlanRules(), ['A1' => new Temper(weeds: 'tough')], 1);
        $offer = self::offer($garden, 'kale');

        self::assertSame(14, self::candidate('kale')->bedStart - $offer->start);
        self::assertArrayHasKey('temper', $offer->bent);
    }

    #[TestWith(['wet', 'A2'])]
    #[TestWith(['fair', 'A1'])]
    public function testGroundThatDoesNotSuitIsPassedOver(string $wetness, string $bed): void
    {
        self::assertSame($bed, self::bed(self::garden(new PlanRules(), ['A1' => new Temper($wetness)]), 'kale', '2026-04-16'));
    }

    public function testTheCycleOfGroupsTakesItsTurn(): void
    {
        $cycle = new PlanRules(cycle: [['cabbage'], ['root'], ['leaf']], weights: Weights::of(['gap' => 0.0, 'before' => 0.0]));
        $history = [self::past('A1', 'carrot'), self::past('A2', 'lettuce-head'), self::past('A3', 'kale')];
        $garden = self::garden($cycle, history: $history, blocks: 1);

        self::assertSame(['A1', 'A2', 'A3'], [self::bed($garden, 'lettuce-head'), self::bed($garden, 'kale'),
            self::bed($garden, 'carrot')]);
    }

    /** Common practice: roots not after a legume, heavy feeders rather after one than after another heavy one. */
    public function testWhatStoodBefore(): void
    {
        $garden = self::garden(new PlanRules(), history: [self::past('A1', 'pea'), self::past('A2', 'broccoli')]);

        self::assertSame('A2', self::bed($garden, 'carrot'));
        self::assertSame('A1', self::bed(self::garden(new PlanRules(weights: Weights::of(['gap' => 0.0])),
            history: [self::past('A1', 'pea'), self::past('A2', 'broccoli')]), 'tomato', place: PlaceType::Field));
        self::assertSame(['before', 'sliver'], array_keys(self::offer(self::garden(new PlanRules(), history: [self::past('A1', 'pea')],
            blocks: 1, count: 1), 'carrot')->bent));
    }

    /** Corn in halves on neighbouring beds rather than in one long row; one beside a block of it that stands may be single. */
    public function testCornStandsInBlocks(): void
    {
        $garden = self::garden(new PlanRules());
        $offer = self::choice($garden)->offer(self::candidate('corn'), 25_000_000, self::day('2026-07-09'));

        self::assertSame(['A1 12500000', 'A2 12500000'], array_map(static fn (Stretch $s): string => $s->bed.' '.($s->to - $s->from),
            $offer->pieces));
        $single = self::choice(self::garden(new PlanRules(), blocks: 1, count: 1))->offer(self::candidate('corn'), 25_000_000,
            self::day('2026-07-09'));
        self::assertSame('one-long-row crop=Sweet corn bed=A1', Said::of($single->remarks()[0]));
        $beside = self::choice($garden);
        $beside->take(self::stands('corn', 'A1'));
        self::assertSame(['A2'], array_map(static fn (Stretch $s): string => $s->bed, $beside->offer(self::candidate('corn'), 25_000_000,
            self::day('2026-07-09'))->pieces));
    }

    /** 1.2 m from bed to bed: 76 m are 64 beds of one block; where another block lies is not known. */
    public function testCornOfAnotherKindMayStandFarAwayInTheSameBlock(): void
    {
        $garden = self::garden(new PlanRules(), count: 66);
        $choice = self::choice($garden);
        $choice->take(self::stands('corn', 'A1', 'corn-supersweet'));
        $on = static fn (string $bed): bool => [] !== $choice->on($garden->bedsByName()[$bed], self::candidate('corn'),
            12_500_000, self::day('2026-07-09'))->pieces;

        self::assertSame([false, true, false], [$on('A64'), $on('A65'), $on('B1')]);
    }

    /** Three rows on one wide bed are a block. */
    public function testCornOnAWideBedNeedsNoSecondOne(): void
    {
        $garden = self::garden(new PlanRules(), blocks: 1);
        $wide = $garden->onBeds(array_map(static fn (Bed $b): Bed => new Bed($b->name, $b->block, $b->position, $b->length,
            Length::fromCentimetres(140), $b->path, $b->place), $garden->beds));

        self::assertCount(1, self::choice($wide)->offer(self::candidate('corn'), 25_000_000, self::day('2026-07-09'))->pieces);
    }

    public function testCornOfAnotherKindInFlowerIsKeptApart(): void
    {
        $choice = self::choice(self::garden(new PlanRules()));
        $choice->take(self::stands('corn', 'B3', 'corn-supersweet'));

        self::assertSame([], $choice->offer(self::candidate('corn'), 12_500_000, self::day('2026-07-09'))->pieces);
        $one = self::choice(self::garden(new PlanRules()));
        $one->take(self::stands('corn', 'B3', 'corn-sugary'));
        self::assertNotSame([], $one->offer(self::candidate('corn'), 12_500_000, self::day('2026-07-09'))->pieces, 'yellow both');
        self::assertNotSame([], $choice->offer(self::candidate('corn', '2026-05-20'), 12_500_000, self::day('2026-08-20'))->pieces,
            'three weeks and more apart');
    }

    public function testOneFamilyStandsTogether(): void
    {
        $choice = self::choice(self::garden(new PlanRules()));
        $choice->take(self::stands('kale', 'B2'));

        self::assertSame('B1', $choice->offer(self::candidate('broccoli'), 25_000_000, self::day('2026-07-09'))->pieces[0]->bed);
    }

    /** Where neighbours are full, the nearer bed is taken; weighed at nothing, the first in walking order. */
    public function testTheShorterWalkIsTaken(): void
    {
        $at = static function (float $walk): string {
            $choice = self::choice(self::garden(new PlanRules(weights: Weights::of(['walk' => $walk]))));
            $choice->take(self::stands('kale', 'B3'));
            $choice->take(self::stands('chard', 'B2'));

            return $choice->offer(self::candidate('broccoli'), 25_000_000, self::day('2026-07-09'))->pieces[0]->bed ?? '';
        };

        self::assertSame(['B1', 'A1'], [$at(10.0), $at(0.0)]);
    }

    /** The weight is for ten beds walked: at a hundred, one bed further is worth ten, less than an empty sliver of forty. */
    public function testWalkingIsWeighedByTenBeds(): void
    {
        $choice = self::choice(self::garden(new PlanRules(weights: Weights::of(['walk' => 100.0, 'together' => 0.0, 'sliver' => 40.0])),
            count: 4));
        $choice->take(self::stands('kale', 'A1'));
        $choice->take(self::before('chard', 'A2', 10));

        self::assertSame('A3', $choice->offer(self::candidate('broccoli'), 25_000_000, self::day('2026-07-09'))->pieces[0]->bed);
    }

    /** Three years in the field: 1,095 days between clearing and the next preparation are enough, a day less is not. */
    #[TestWith([1095, false])]
    #[TestWith([1094, true])]
    public function testTheFamilyGapToTheDay(int $days, bool $isTold): void
    {
        $was = new PastCrop(Stretch::of('A1', 0, 25_000_000), 'broccoli', Day::parse('2026-04-15')->plus(-$days));
        $offer = self::choice(self::garden(new PlanRules(), blocks: 1, history: [$was], count: 1))->offer(self::candidate('kale'),
            25_000_000, self::day('2026-07-09'));

        self::assertSame($isTold, [] !== $offer->remarks());
    }

    /** Twenty days between two crops are too short for anything else, twenty-one are not. */
    #[TestWith([20, 'A2'])]
    #[TestWith([21, 'A1'])]
    #[TestWith([0, 'A1'])]
    public function testAnEmptySliverIsAvoided(int $days, string $bed): void
    {
        $choice = self::choice(self::garden(new PlanRules(), blocks: 1, count: 2));
        $choice->take(self::before('chard', 'A1', $days));

        self::assertSame($bed, $choice->offer(self::candidate('kale'), 25_000_000, self::day('2026-07-09'))->pieces[0]->bed ?? '');
    }

    /** Roots after 400 kg N a hectare or after raw manure fork; after 300 days they do not mind, and leaves never do. */
    #[TestWith(['carrot', 299, Heat::HeatTreated, 10.0, true])]
    #[TestWith(['carrot', 300, Heat::HeatTreated, 10.0, false])]
    #[TestWith(['carrot', 200, Heat::HeatTreated, 1.0, false])]
    #[TestWith(['carrot', 200, Heat::Raw, 1.0, true])]
    #[TestWith(['chard', 200, Heat::HeatTreated, 10.0, false])]
    public function testRootsAfterWhatWasLaidOut(string $item, int $days, Heat $heat, float $kg, bool $isTold): void
    {
        $spread = new Spread('s', 'A1', Day::parse('2026-04-15')->plus(-$days), 'Feather meal', $kg, Nutrients::of(13.0, 0.0, 0.0),
            Release::Soluble, $heat, Area::fromSquareMetres(18.75), Day::parse('2026-04-15')->plus(-$days));
        $garden = self::garden(new PlanRules(), blocks: 1, count: 1)->onSoil(new SoilBook(spreads: [$spread]));

        self::assertSame($isTold ? [Rule::AfterUnsuited] : [], array_values(array_map(static fn (Message $m): Code => $m->code,
            self::offer($garden, $item)->remarks())));
    }

    private static function bed(Garden $garden, string $item, string $sow = '2026-04-20', PlaceType $place = PlaceType::Field): string
    {
        return self::choice($garden)->offer(self::candidate($item, $sow), 12_500_000,
            self::day('2026-07-09'))->pieces[0]->bed ?? $place->value;
    }

    private static function offer(Garden $garden, string $item): BedOffer
    {
        return self::choice($garden)->offer(self::candidate($item), 12_500_000, self::day('2026-07-09'));
    }

    private static function choice(Garden $garden): BedChoice
    {
        return new BedChoice($garden, Book::crops(), Book::recipes(), Grid::of($garden));
    }

    private static function candidate(string $item, string $sow = '2026-04-20'): Candidate
    {
        $day = self::day($sow);

        return new Candidate($item, Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day, $day - 5, $day + 60, $day + 80, 1.0,
            0.0, 0.0, []);
    }

    private static function stands(string $item, string $bed, ?string $variety = null): Planting
    {
        $day = Day::parse('2026-04-20');

        return new Planting($item.'@2026-04-20#'.$bed, $item, Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day,
            $day->plus(-60), $day->plus(60), $day->plus(80), 1.0, [Stretch::of($bed, 0, 25_000_000)], Standing::Planned, false,
            variety: $variety);
    }

    /** Cleared so many empty days before what is asked for comes into the bed. */
    private static function before(string $item, string $bed, int $days): Planting
    {
        $last = Day::parse('2026-04-14')->plus(-$days);

        return new Planting($item.'@before#'.$bed, $item, Method::Sown, PlaceType::Field, 'compost-mulch', $last->plus(-60),
            $last->plus(-60), $last->plus(-70), $last->plus(-9), $last, 1.0, [Stretch::of($bed, 0, 25_000_000)], Standing::Planned, false);
    }

    private static function past(string $bed, string $crop): PastCrop
    {
        return new PastCrop(Stretch::of($bed, 0, 25_000_000), $crop, Day::parse('2025-09-20'));
    }

    private static function day(string $iso): int
    {
        return Day::parse($iso)->number;
    }

    /**
     * @param array<string, Temper> $tempers
     * @param list<PastCrop>        $history
     */
    private static function garden(PlanRules $rules, array $tempers = [], int $blocks = 2, array $history = [],
        string $today = '2026-03-02', int $count = 3): Garden
    {
        $beds = [];
        foreach (\array_slice(['A', 'B'], 0, $blocks) as $block) {
            for ($i = 1; $i <= (1 === $blocks && [] !== $tempers ? 1 : $count); ++$i) {
                $beds[] = new Bed($block.$i, $block, \count($beds), Length::fromMetres(25), Length::fromCentimetres(75),
                    Length::fromCentimetres(45), PlaceType::Field, $tempers[$block.$i] ?? new Temper());
            }
        }

        return new Garden('G', Day::parse($today), new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')),
            Settings::usual()->ruledBy($rules), ['A', 'B'], $beds, $history, [], [], [], []);
    }
}
