<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByRhythm;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Hand\Skipped;
use JollyFurrow\Hand\SkippedSowing;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Supply\MarketOutlook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\NextJob;
use JollyFurrow\Work\NextStep;
use PHPUnit\Framework\TestCase;

/** What follows from what stands: beds free when, market days with nothing, the next job; and planning forward by rhythm. */
final class OutlookTest extends TestCase
{
    public function testABedIsFreeInStretchesEachUntilItIsTakenAgain(): void
    {
        $stands = LittleGarden::radish('2026-04-10', to: 8_000_000, standing: Standing::Growing);
        $next = LittleGarden::radish('2026-06-01', from: 4_000_000, to: 12_000_000, number: 2);
        $garden = LittleGarden::on('2026-04-20', [$stands, $next]);
        $free = array_map(static fn (BedOutlook $o): array => [$o->stretch->from, $o->stretch->to, $o->from->iso(), $o->until?->iso(),
            $o->isFreeNow()], BedOutlook::of($garden->beds[0], $garden->plantings->all(), $garden->today));

        self::assertSame([
            [0, 4_000_000, '2026-05-17', null, false],
            [4_000_000, 8_000_000, '2026-05-17', '2026-05-26', false],
            [8_000_000, 12_000_000, '2026-04-20', '2026-05-26', true],
            [12_000_000, 20_000_000, '2026-04-20', null, true],
        ], $free);
    }

    public function testOneStretchTakenAtOnceByTheNextComesFreeAfterBoth(): void
    {
        $garden = LittleGarden::on('2026-04-20', [LittleGarden::radish('2026-04-10', to: 20_000_000, standing: Standing::Growing),
            LittleGarden::radish('2026-05-22', to: 20_000_000, number: 2)]);
        $free = BedOutlook::of($garden->beds[0], $garden->plantings->all(), $garden->today);

        self::assertSame(['2026-06-28', null], [$free[0]->from->iso(), $free[0]->until]);
        self::assertSame('radish@2026-05-22#2', $free[0]->after?->key);
    }

    public function testMarketDaysWithNothingAreRuns(): void
    {
        $market = MarketOutlook::of(LittleGarden::on('2026-05-04', [LittleGarden::radish('2026-04-15', standing: Standing::Growing)]),
            Book::crops(), 6);

        self::assertSame([55, 55], array_map(static fn (array $d): int => $d['amounts']['radish'],
            array_values(array_filter($market->days, static fn (array $d): bool => [] !== $d['amounts']))));
        self::assertSame([['2026-05-09', '2026-05-09', 1], ['2026-05-30', '2026-06-13', 3]],
            array_map(static fn (array $r): array => [$r['from']->iso(), $r['to']->iso(), $r['count']], $market->empty()));
        self::assertFalse($market->isAssumed);
    }

    public function testTheNextJobOfEachStanding(): void
    {
        $step = static fn (Planting $p, string $today): ?array => self::step($p, $today);

        self::assertSame(['step step=Clear', '2026-04-24', false], $step(LittleGarden::radish('2026-04-29'), '2026-04-20'));
        self::assertSame(['sow-in-the-bed', '2026-04-29', false], $step(LittleGarden::radish('2026-04-29'), '2026-04-29'));
        self::assertSame(['sow-in-the-bed', '2026-04-29', true], $step(LittleGarden::radish('2026-04-29'), '2026-05-02'));
        self::assertSame(['sow-in-trays', '2026-04-10', false], $step(LittleGarden::lettuce('2026-04-10'), '2026-04-01'));
        self::assertSame(['plant-out', '2026-05-08', true], $step(LittleGarden::lettuce('2026-04-10', standing: Standing::InNursery),
            '2026-05-10'));
        self::assertSame(['pick', '2026-05-10', false], $step(LittleGarden::radish('2026-04-10', standing: Standing::Growing),
            '2026-05-01'));
        self::assertSame(['clear', '2026-05-16', true], $step(LittleGarden::radish('2026-04-10', standing: Standing::Growing),
            '2026-05-20'));
    }

    public function testByRhythmTheSameAgainOnTheFirstFreeBed(): void
    {
        $garden = LittleGarden::on('2026-04-01');
        $made = (new ByRhythm(Book::crops(), Book::recipes()))->plan($garden, Book::crops()->get('radish'), Method::Sown,
            \array_slice($garden->beds, 0, 3), Day::parse('2026-05-01'), Day::parse('2026-06-05'), 10, 0, 0.25);

        self::assertSame(['2026-05-01', '2026-05-11', '2026-05-21', '2026-05-31'],
            array_map(static fn (Planting $p): string => $p->sow->iso(), $made->plantings));
        self::assertSame([['A1', 0], ['A1', 5_000_000], ['A1', 10_000_000], ['A1', 15_000_000]],
            array_map(static fn (Planting $p): array => [$p->pieces[0]->bed, $p->pieces[0]->from], $made->plantings));
        self::assertSame([true], array_values(array_unique(array_map(static fn (Planting $p): bool => $p->locked, $made->plantings))));
    }

    public function testByRhythmOutOfTraysAndByLength(): void
    {
        $garden = LittleGarden::on('2026-04-01', [LittleGarden::radish('2026-05-20', 'A1', 0, 17_000_000)]);
        $made = (new ByRhythm(Book::crops(), Book::recipes()))->plan($garden, Book::crops()->get('lettuce-head'), Method::Transplanted,
            \array_slice($garden->beds, 0, 2), Day::parse('2026-04-20'), Day::parse('2026-05-10'), 10, 4_000_000);

        self::assertSame(['2026-05-18', '2026-05-28', '2026-06-07'], array_map(static fn (Planting $p): string => $p->ground->iso(),
            $made->plantings));
        self::assertSame(['A2', 'A2', 'A2'], array_map(static fn (Planting $p): string => $p->pieces[0]->bed, $made->plantings));
        self::assertSame([0, 4_000_000, 8_000_000], array_map(static fn (Planting $p): int => $p->pieces[0]->from, $made->plantings));
        self::assertCount(3, array_unique(array_map(static fn (Planting $p): string => $p->key, $made->plantings)));
    }

    public function testWithoutOutletsSaturdaysAreTakenAndSaidSo(): void
    {
        $g = LittleGarden::on('2026-05-04', [LittleGarden::radish('2026-04-15', standing: Standing::Growing)]);
        $market = MarketOutlook::of(new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], [], [], [],
            $g->plantings), Book::crops(), 3);

        self::assertTrue($market->isAssumed);
        self::assertSame(['2026-05-09', '2026-05-16', '2026-05-23'], array_map(static fn (array $d): string => $d['day']->iso(),
            $market->days));
        self::assertSame([[], ['radish' => 55], ['radish' => 55]], array_map(static fn (array $d): array => $d['amounts'], $market->days));
    }

    public function testByRhythmEachDayLeftOutHasItsReason(): void
    {
        $garden = LittleGarden::on('2026-08-20', [LittleGarden::lettuce('2026-07-20', 'A1', 0, 20_000_000)]);
        $made = (new ByRhythm(Book::crops(), Book::recipes()))->plan($garden, Book::crops()->get('radish'), Method::Sown,
            [$garden->beds[0]], Day::parse('2026-08-21'), Day::parse('2026-09-20'), 10, 0, 0.5);
        $why = array_map(static fn (SkippedSowing $s): Skipped => $s->why, $made->skipped);

        self::assertSame([], $made->plantings);
        self::assertSame(Skipped::NoTimeForTheBed, $why[0]);
        self::assertSame(Skipped::NoBed, $why[1]);
        self::assertSame(Skipped::OutOfSeason, $why[3]);
    }

    /** Asparagus is picked when its season begins, year after year, and nobody is told to clear its bed. */
    public function testAPerennialIsNeverToBeCleared(): void
    {
        $asparagus = new Planting('asparagus@2022-04-05#1', 'asparagus', Method::Sown, PlaceType::Field, 'compost-mulch',
            Day::parse('2022-04-05'), Day::parse('2022-04-05'), Day::parse('2022-04-01'), Day::parse('2024-04-25'),
            Day::parse('2026-06-01'), 6.0, [Stretch::of('A1', 0, 5_000_000)], Standing::Growing, true);
        $next = static function (string $today) use ($asparagus): array {
            $step = NextStep::of($asparagus, Book::recipes()->get('compost-mulch'), LittleGarden::on($today), Book::crops()->get('asparagus'));

            return [$step?->job->code, $step?->day->iso()];
        };

        self::assertSame([NextJob::Pick, '2024-04-25'], $next('2024-02-01'));
        self::assertSame([NextJob::Pick, '2024-05-08'], $next('2024-05-08'), 'two weeks in its first season');
        self::assertSame([NextJob::Pick, '2025-04-25'], $next('2024-05-09'));
        self::assertSame([NextJob::Pick, '2026-06-12'], $next('2026-06-12'), 'seven weeks from the third on');
    }

    /** Nothing comes up on a crop that is being picked; the likeliest stands first. */
    public function testWhatIsLikelyGoesByTheStage(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Growing);

        self::assertSame(Happening::Emerged, FieldWork::expected($radish, Day::parse('2026-04-20'))[0]);
        self::assertSame(Happening::Picked, FieldWork::expected($radish, Day::parse('2026-05-10'))[0]);
        $day = Day::parse('2026-04-10');
        $carrot = new Planting('carrot@2026-04-10#1', 'carrot-storage', Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day, $day,
            $day->plus(110), $day->plus(130), 4.0, [Stretch::of('A1', 0, 5_000_000)], Standing::Growing, false);
        self::assertSame(Happening::Emerged, FieldWork::expected($carrot, Day::parse('2026-05-21'))[0]);
        self::assertSame(Happening::Seen, FieldWork::expected($carrot, Day::parse('2026-05-22'))[0], 'six weeks are over');
        self::assertNotContains(Happening::Emerged, FieldWork::expected(LittleGarden::lettuce('2026-04-10', standing: Standing::Growing),
            Day::parse('2026-05-10')), 'it came up in its tray');
        self::assertNotContains(Happening::Emerged, FieldWork::expected($radish, Day::parse('2026-05-10')));
    }

    /** @return array{string, string, bool}|null */
    private static function step(Planting $planting, string $today): ?array
    {
        $step = NextStep::of($planting, Book::recipes()->get('compost-mulch'), LittleGarden::on($today));

        return null === $step ? null : [Said::of($step->job), $step->day->iso(), $step->isLate];
    }
}
