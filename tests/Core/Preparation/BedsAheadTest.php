<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Preparation;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\BedsAhead;
use JollyFurrow\Preparation\BedWeek;
use JollyFurrow\Preparation\DatedStep;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\RainQuestion;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\EightPlaces;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\DripLines;
use JollyFurrow\Work\KitNeed;
use JollyFurrow\Working\Source;
use PHPUnit\Framework\TestCase;

final class BedsAheadTest extends TestCase
{
    private static function recipes(int $lead = 5): RecipeBook
    {
        $tarp = [new Step('Lay', 35, 1.0, 'tarp', '', '', lays: Kit::Tarp), new Step('Lift', 3, 1.0, 'tarp', '', '', lifts: Kit::Tarp)];

        return RecipeBook::of([
            new Recipe('compost-mulch', 'Mulch', 'mulch', true, [new Step('Clear', $lead, 2.0, 'hoe', '', ''), new Step('Rake', 1, 4.0,
                'rake', '', '')], Source::practice()),
            new Recipe('tarp-shallow-till', 'Tarp', 'tarp', true, $tarp, Source::practice()),
            new Recipe('broadfork-harrow', 'Fork', 'fork', true, [new Step('Fork', $lead + 4, 5.0, 'broadfork', '', ''),
                new Step('Harrow', 2, 1.0, 'power harrow', '', '', needsDry: true)], Source::practice()),
            new Recipe('stale-seedbed', 'Stale', 'stale', true, [new Step('Rake fine', $lead + 9, 2.0, 'rake', '', '')],
                Source::practice()),
            new Recipe('fast-turn', 'Fast', 'turn', true, [new Step('Pull', 2, 3.0, 'sickle', '', '')], Source::practice()),
        ]);
    }

    /** Steps in order, all inside the time the bed is taken, whatever the crop, place and time of the year. */
    public function testEveryStepOfAPlanLiesInTheBedsOwnTime(): void
    {
        $checked = 0;
        foreach (range(1, 12) as $seed) {
            $garden = RandomGarden::of($seed);
            $leads = new Leads($garden);
            foreach ((new Planner(Book::crops(), Book::recipes()))->draw($garden)->new as $planting) {
                $days = array_map(static fn (DatedStep $s): int => $s->day->number,
                    $leads->dated(Book::recipes()->get($planting->recipe), $planting));
                $sorted = $days;
                sort($sorted);
                self::assertSame($sorted, $days);
                self::assertSame($planting->bedStart->number, $days[0], $planting->key);
                self::assertLessThanOrEqual($planting->ground->number, end($days));
                ++$checked;
            }
        }
        self::assertGreaterThan(50, $checked);
    }

    /** A longer lead takes every bed sooner or puts the planting later, never the other way. */
    public function testALongerLeadNeverBringsADateForward(): void
    {
        foreach ([3, 8] as $seed) {
            $garden = RandomGarden::of($seed);
            $short = new \JollyFurrow\Ways\Candidates($garden, self::recipes(5));
            $long = new \JollyFurrow\Ways\Candidates($garden, self::recipes(12));
            foreach (['radish', 'carrot', 'corn', 'kale'] as $key) {
                $crop = Book::crops()->get($key);
                for ($sow = $garden->today->plus(40); $sow->since($garden->today) < 120; $sow = $sow->plus(9)) {
                    $a = $short->sownOn($crop, $sow, PlaceType::Field, $crop->methods()[0] ?? \JollyFurrow\Crop\Method::Sown);
                    $b = $long->sownOn($crop, $sow, PlaceType::Field, $crop->methods()[0] ?? \JollyFurrow\Crop\Method::Sown);
                    self::assertTrue((null === $a) === (null === $b));
                    self::assertTrue(null === $a || null === $b || ($b->bedStart <= $a->bedStart && $b->ready === $a->ready));
                }
            }
        }
    }

    public function testMetresOfAWeekAddUpToTheGarden(): void
    {
        $garden = LittleGarden::on('2026-05-06', [LittleGarden::radish('2026-05-12', 'A1', 0, 12_000_000),
            LittleGarden::radish('2026-04-20', 'A2', 0, 20_000_000, Standing::Growing, 2)]);
        $weeks = BedsAhead::of($garden, PlaceType::Field);

        self::assertSame(['2026-05-04', '2026-05-11'], [$weeks[0]->monday->iso(), $weeks[1]->monday->iso()]);
        self::assertSame([[0.0, 12.0, 20.0], [12.0, 0.0, 32.0]], array_map(static fn (BedWeek $w): array => [$w->needed,
            $w->inPreparation, $w->standing], \array_slice($weeks, 0, 2)));
        foreach ($weeks as $week) {
            self::assertSame(60.0, $week->inPreparation + $week->standing + $week->free);
        }
        self::assertCount(8, $weeks);
    }

    /** A week has its Sunday: what goes into the ground then is wanted that week, and stands that week. */
    public function testSundayIsOfTheWeek(): void
    {
        $weeks = static fn (string $sow): array => BedsAhead::of(LittleGarden::on('2026-06-01', [LittleGarden::radish($sow)]),
            PlaceType::Field);

        self::assertSame([5.0, 5.0, 0.0], [$weeks('2026-06-07')[0]->needed, $weeks('2026-06-07')[0]->standing,
            $weeks('2026-06-07')[0]->inPreparation]);
        self::assertSame([0.0, 0.0, 5.0], [$weeks('2026-06-08')[0]->needed, $weeks('2026-06-08')[0]->standing,
            $weeks('2026-06-08')[0]->inPreparation]);
    }

    public function testKitIsCountedOnceAndUsedAgain(): void
    {
        $tarped = static fn (string $sow, string $bed, int $from, int $to, int $n): Planting => LittleGarden::radish($sow, $bed, $from,
            $to, Standing::Planned, $n)->but(recipe: 'tarp-shallow-till');
        // One after the other on the same metres, and two covers over one bed: no metre twice.
        $garden = LittleGarden::on('2026-04-06', [$tarped('2026-05-20', 'A1', 0, 10_000_000, 1), $tarped('2026-08-20', 'A1', 0,
            10_000_000, 2),
            $tarped('2026-05-20', 'A2', 5_000_000, 20_000_000, 3)]);
        $days = Period::fromFirstToLast(Day::parse('2026-05-01'), Day::parse('2026-06-01'));
        $garden = $garden->covered([Protection::overBed('A3', Cover::RowCover, Purpose::Frost, $days), Protection::overBed('A3',
            Cover::LowTunnel, Purpose::Insects, $days)]);
        $need = KitNeed::byWeek($garden, self::recipes());
        $week = static fn (string $monday): int => Day::parse($monday)->number;

        self::assertSame([0.0, 25.0, 25.0, 0.0, 10.0], array_map(static fn (string $monday): float => $need['tarp'][$week($monday)],
            ['2026-04-06', '2026-04-13', '2026-05-11', '2026-05-25', '2026-08-10']));
        self::assertSame([20.0, 20.0], [$need['row-cover'][$week('2026-05-04')], $need['hoops'][$week('2026-05-04')]]);
        self::assertSame(0.0, $need['row-cover'][$week('2026-06-08')]);
        self::assertArrayNotHasKey('stakes', $need);
    }

    /** A bed whose own preparation is over in time takes it; one where a crop stood until lately wants but a fast turn. */
    public function testALateBedIsOfferedAnotherBed(): void
    {
        $corn = new Planting('corn@2026-05-20#1', 'corn', \JollyFurrow\Crop\Method::Sown, PlaceType::Field, 'compost-mulch',
            Day::parse('2026-05-20'), Day::parse('2026-05-20'), Day::parse('2026-05-15'), Day::parse('2026-08-08'),
            Day::parse('2026-08-13'), 9.0, [Stretch::of('A1', 0, 10_000_000)], Standing::Planned, false);
        $gone = LittleGarden::radish('2026-04-01', 'A3', 0, 20_000_000, Standing::Cleared);
        $recipes = Book::recipes()->with([new Recipe('fast-turn', 'Fast turn', 'turn', true,
            [new Step('Pull', 2, 3.0, 'sickle', '', '')], Source::practice())]);
        $late = static fn (array $more): ?Planting => LateBed::all(LittleGarden::on('2026-05-17',
            array_values(array_filter([$corn, ...$more], static fn (mixed $p): bool => $p instanceof Planting))), Book::crops(),
            $recipes)[0]->elsewhere;

        self::assertNull($late([]), 'three days are too few for the mulch anywhere');
        $moved = $late([$gone]);
        self::assertSame(['A3', 'fast-turn', '2026-05-18', '2026-05-20'], [$moved?->pieces[0]->bed, $moved?->recipe,
            $moved?->bedStart->iso(), $moved?->ground->iso()]);
        self::assertSame($moved?->length()->micrometres, $corn->length()->micrometres);
    }

    public function testRainIsReadFromTheOutlook(): void
    {
        $from = Day::parse('2026-05-04')->number;
        $outlook = static fn (float ...$rain): DailyRecord => DailyRecord::fromRows(array_map(static fn (int $n,
            float $mm): array => [$from + $n, 8.0, 18.0, $mm], range(0, \count($rain) - 1), array_values($rain)));
        $asked = static function (DailyRecord $outlook) use ($from): ?array {
            $found = RainQuestion::inOutlook($outlook);

            return null === $found ? null : [$found[0]->since(Day::of($from)), $found[1], $found[2]];
        };

        self::assertNull(RainQuestion::inOutlook($outlook(0.0, 6.0, 0.0, 0.0, 8.0, 0.0, 3.9)));
        self::assertSame([1, 2, 18.0], $asked($outlook(0.0, 6.0, 12.0, 0.0, 0.0, 2.0, 16.0)));
        self::assertSame([0, 7, 50.0], $asked($outlook(8.0, 0.0, 10.0, 12.0, 0.0, 16.0, 4.0)), 'one dry day between does not dry it');
    }

    /** Common practice: two lines on a bed of 75 cm, three on 1.2 m. */
    public function testDripLinesGoByTheWidthOfTheBed(): void
    {
        self::assertSame([1, 2, 3], array_map(static fn (int $cm): int => DripLines::on(Length::fromCentimetres($cm)), [40, 75, 120]));
        $dripped = Book::recipes()->with([new Recipe('drip', 'Drip', 'mulch', false,
            [new Step('Lay', 5, 1.0, 'hands', '', '', lays: Kit::Drip)], Source::practice())]);
        $garden = LittleGarden::on('2026-05-04', [LittleGarden::radish('2026-05-20', 'A1', 0, 10_000_000)->but(recipe: 'drip')]);

        self::assertSame(10.0 * DripLines::on($garden->beds[0]->width),
            max([0.0, ...array_values(KitNeed::byWeek($garden, $dripped)['drip'])]));
    }

    public function testALateBedIsOfferedAQuickerPreparationAndALaterDay(): void
    {
        $corn = new Planting('corn@2026-05-20#1', 'corn', \JollyFurrow\Crop\Method::Sown, PlaceType::Field, 'stale-seedbed',
            Day::parse('2026-05-20'), Day::parse('2026-05-20'), Day::parse('2026-05-06'), Day::parse('2026-08-08'),
            Day::parse('2026-08-13'), 9.0, [Stretch::of('A1', 0, 10_000_000)], Standing::Planned, false);
        $garden = LittleGarden::on('2026-05-12', [$corn]);
        [$late] = LateBed::all($garden, Book::crops(), self::recipes());

        self::assertSame(6, $late->days);
        self::assertSame(['compost-mulch', '2026-05-15', '2026-05-20'], [$late->quicker?->recipe, $late->quicker?->bedStart->iso(),
            $late->quicker?->ground->iso()]);
        self::assertEqualsWithDelta((6.0 - 2.0) * 10 / 100, $late->hours, 1e-9);
        self::assertNull($late->later, 'the soil is a guess here, and too cold on that day');
        $warm = self::warm(LittleGarden::on('2026-05-12', [$corn]));
        self::assertSame(['2026-05-26', '2026-05-12'], [LateBed::all($warm, Book::crops(), self::recipes())[0]->later?->ground->iso(),
            LateBed::all($warm, Book::crops(), self::recipes())[0]->later?->bedStart->iso()]);
        self::assertSame([], LateBed::all(self::noted($garden, new FieldNote($corn->key, Happening::Begun, Day::parse('2026-05-07'),
            null, null, null, '', null)), Book::crops(), self::recipes()));
        self::assertSame([], LateBed::all(LittleGarden::on('2026-05-06', [$corn]), Book::crops(), self::recipes()));
        self::assertNull(LateBed::all(LittleGarden::on('2026-06-28',
            [$corn->but(dates: new Dates(Day::parse('2026-06-30'), Day::parse('2026-06-30'), Day::parse('2026-06-16'),
                Day::parse('2026-09-20'), Day::parse('2026-09-25')))]), Book::crops(), self::recipes())[0]->later,
            'its season is over by then');
    }

    public function testRainMissesOnlyDatesWhoseReserveIsUsedUp(): void
    {
        $planting = LittleGarden::radish('2026-05-20')->but(recipe: 'broadfork-harrow');
        $garden = LittleGarden::timed('2026-05-04', [$planting]);
        $reserve = (new Leads($garden))->reserve(self::recipes()->get('broadfork-harrow'), $planting->ground);
        self::assertGreaterThan(0, $reserve);
        $harrow = Day::parse('2026-05-18')->plus(-$reserve);

        self::assertSame([], RainQuestion::of($garden, self::recipes(), $harrow, $reserve));
        $missed = RainQuestion::of($garden, self::recipes(), $harrow, $reserve + 3);
        self::assertSame([[$planting->key, 3]], array_map(static fn (RainQuestion $r): array => [$r->planting->key, $r->daysLate],
            $missed));
        self::assertSame([], RainQuestion::of($garden, self::recipes(), Day::parse('2026-06-20'), 10));
        self::assertSame([], RainQuestion::of(LittleGarden::timed('2026-05-04', [LittleGarden::radish('2026-05-20')]), self::recipes(),
            $harrow, 30), 'no step of it wants dry soil');
    }

    /** By catalogue days, where the summers are those of the lowland. */
    private static function warm(Garden $g): Garden
    {
        return new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $g->outlets, $g->products,
            $g->promises, $g->plantings, [], EightPlaces::climate('39N')->timed(false));
    }

    private static function noted(Garden $g, FieldNote $note): Garden
    {
        return new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $g->outlets, $g->products,
            $g->promises, $g->plantings, [$note], $g->climate);
    }
}
