<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Ladder;

use JollyFurrow\Book\BookReader;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\StandWay;
use JollyFurrow\Crop\YieldByDensity;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Hand\BookChange;
use JollyFurrow\Ladder\LadderRung;
use JollyFurrow\Ladder\SchoolsSideBySide;
use JollyFurrow\Ladder\VarietyLadder;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class LadderTest extends TestCase
{
    /**
     * Common practice: winter types planted together in July are cut one after another from late winter to May on a mild
     * coast; where nights of ten degrees of frost come they are not planted at all.
     */
    public function testWinterCauliflowersPlantedTogetherFollowOneAnother(): void
    {
        $ladder = VarietyLadder::of(LittleGarden::at('50N', '2026-03-01'), Book::crops(), Book::recipes(), 'cauliflower',
            Day::parse('2026-07-10'), PlaceType::Field);
        $good = array_values(array_filter($ladder->rungs, static fn (LadderRung $r): bool => null !== $r->from));
        $inland = VarietyLadder::of(LittleGarden::timed('2026-03-01'), Book::crops(), Book::recipes(), 'cauliflower',
            Day::parse('2026-07-10'), PlaceType::Field);
        $frozen = array_values(array_filter($inland->rungs,
            static fn (LadderRung $r): bool => 'cauliflower-winter-b' === $r->crop->key))[0];
        self::assertStringStartsWith('winter-frost', Said::of($frozen->why));

        self::assertSame(['cauliflower-early', 'cauliflower', 'cauliflower-late', 'cauliflower-winter-a', 'cauliflower-winter-b',
            'cauliflower-winter-c'], array_map(static fn (LadderRung $r): string => $r->crop->key, $good));
        self::assertSame(['2026-09', '2026-09', '2026-10', '2027-03', '2027-03', '2027-04'],
            array_map(static fn (LadderRung $r): string => substr($r->from?->iso() ?? '', 0, 7), $good));
    }

    /** Gaps lie between harvests, overlap none of them, and each fill gives something inside its gap. */
    public function testGapsAreWhatNoHarvestCoversAndFillsFillThem(): void
    {
        $garden = LittleGarden::timed('2026-03-01');
        $gaps = 0;
        foreach (['cauliflower', 'broccoli', 'cabbage-early', 'corn', 'lettuce-head', 'carrot'] as $item) {
            foreach (['2026-05-20', '2026-06-15', '2026-07-05'] as $day) {
                $ladder = VarietyLadder::of($garden, Book::crops(), Book::recipes(), $item, Day::parse($day), PlaceType::Field);
                foreach ($ladder->gaps as $gap) {
                    ++$gaps;
                    foreach ($ladder->rungs as $rung) {
                        self::assertTrue(null === $rung->from || null === $rung->until || $rung->until->isBefore($gap->from)
                            || $gap->until->isBefore($rung->from), $item.' '.$day);
                    }
                    foreach ($gap->fills as $fill) {
                        self::assertGreaterThan(0, $fill->covers);
                        self::assertTrue($fill->ready->number <= $gap->until->number && $fill->until->number >= $gap->from->number);
                        self::assertFalse($fill->sow->isBefore($garden->today));
                    }
                }
            }
        }
        self::assertGreaterThan(5, $gaps);
    }

    public function testOutOfItsSeasonARungSaysWhy(): void
    {
        $ladder = VarietyLadder::of(LittleGarden::timed('2026-03-01'), Book::crops(), Book::recipes(), 'corn', Day::parse('2026-03-20'),
            PlaceType::Field);

        self::assertNull($ladder->rungs[0]->from);
        self::assertStringStartsWith('cold-soil', Said::of($ladder->rungs[0]->why));
        self::assertSame('no-place-for-it place=tunnel', Said::of(VarietyLadder::of(LittleGarden::timed('2026-03-01'), Book::crops(),
            Book::recipes(), 'corn', Day::parse('2026-05-20'), PlaceType::Tunnel)->rungs[0]->why));
    }

    /** By date uses one variety; by variety sows on few days; both together cost no more than either. */
    public function testTheSchoolsOfSuccessionSideBySide(): void
    {
        $promises = [];
        for ($day = Day::parse('2026-06-06'); $day->isBefore(Day::parse('2026-10-01')); $day = $day->plus(7)) {
            $promises[$day->iso()] = 12;
        }
        $garden = LittleGarden::on('2026-06-01', [], $promises);
        $rows = [...Book::rows(), ...array_map(static fn (OwnValue $v): array => $v->row(), [new OwnValue('own-quick', 'of', 'radish'),
            new OwnValue('own-quick', 'variety', 'Quick'), new OwnValue('own-quick', 'days_sown', '22'), new OwnValue('own-slow', 'of',
                'radish'), new OwnValue('own-slow', 'variety', 'Slow'), new OwnValue('own-slow', 'days_sown', '44')])];
        $planner = new Planner((new BookReader())->read($rows), Book::recipes());
        [$byDate, $byVariety, $both] = SchoolsSideBySide::of($planner, $garden, 'radish');

        self::assertSame(['radish'], array_values(array_unique(array_map(static fn (Planting $p): string => $p->variety,
            $byDate->sowings))));
        self::assertGreaterThan(1, \count(array_unique(array_map(static fn (Planting $p): string => $p->variety, $byVariety->sowings))));
        self::assertLessThan($byDate->days, $byVariety->days);
        self::assertLessThanOrEqual(min($byDate->cost, $byVariety->cost) + 1.0, $both->cost);
        self::assertSame([17, 17, 17], [$byDate->wanted, $byVariety->wanted, $both->wanted]);
        self::assertSame([], SchoolsSideBySide::of($planner, $garden, 'kale'));
        foreach ($byVariety->sowings as $planting) {
            self::assertSame('radish', $planting->item);
            self::assertLessThanOrEqual(7, (int) substr($planting->sow->iso(), 8), 'the first sowing day of the month');
        }
        self::assertSame('one variety, sown again and again', SuccessionSchool::ByDate->words());
    }

    public function testAChangedBookTellsWhatItMovesAndOnlyThat(): void
    {
        $radish = LittleGarden::radish('2026-05-10');
        $lettuce = LittleGarden::lettuce('2026-04-10');
        $over = LittleGarden::radish('2026-03-01', 'A3', 0, 5000, Standing::Cleared, 2);
        $garden = LittleGarden::on('2026-05-01', [$radish, $lettuce, $over]);
        $change = BookChange::of($garden, Book::crops(), self::with(new OwnValue('radish', 'days_sown', '34'), new OwnValue('radish',
            'yield_per_m', '13')), Book::recipes());

        self::assertSame([$radish->key], array_map(static fn (array $m): string => $m['was']->key, $change->moved));
        self::assertSame(1, $change->grown);
        self::assertSame(13.0, $change->moved[0]['is']->perMetre);
        self::assertSame(6, $change->moved[0]['is']->ready->since(Day::parse('2026-05-10')->plus(30)));
        self::assertSame([], BookChange::of($garden, Book::crops(), self::with(new OwnValue('radish', 'note_quality', 'crisp')),
            Book::recipes())->moved);
        self::assertSame(0, BookChange::of($garden, Book::crops(), self::with(new OwnValue('kale', 'days_transplanted', '70')),
            Book::recipes())->grown);
    }

    /** Shinozaki & Kira 1956: w = 1 / (a + b d). Heads are counted, the rest saturates. */
    public function testYieldRisesWithDensityTowardsAMost(): void
    {
        $carrot = Book::crops()->get('carrot-storage');
        $before = 0.0;
        foreach ([0.25, 0.5, 1.0, 2.0, 4.0, 100.0] as $times) {
            $yield = YieldByDensity::times($carrot, $times);
            self::assertGreaterThan($before, $yield);
            // The reciprocal of a plant's weight is a straight line over density: 1 / w = a + b d.
            self::assertEqualsWithDelta(0.2 + 0.8 * $times, $times / $yield, 1e-9);
            $before = $yield;
        }
        self::assertLessThan(1.26, $before);
        self::assertSame(0.5, YieldByDensity::times(Book::crops()->get('lettuce-head'), 0.5));
    }

    public function testClustersKeepTheStandWithAQuarterOfTheSpots(): void
    {
        $beet = Book::crops()->get('beet');
        $clusters = StandWay::Clusters->of($beet, Method::Sown);
        self::assertNotNull($clusters);
        self::assertSame([4, 4 * $beet->stand->inRow->micrometres], [$clusters->plantsPerSpot, $clusters->inRow->micrometres]);
        self::assertEqualsWithDelta(1.0, StandWay::Clusters->density($beet, Method::Sown), 1e-9);
        self::assertNull(StandWay::Clusters->of(Book::crops()->get('corn'), Method::Sown));
        foreach (Book::crops()->entries() as $crop) {
            self::assertLessThanOrEqual(1.0001, StandWay::Hoe->density($crop, $crop->methods()[0]), $crop->key.': the hoe wants room');
        }
    }

    private static function with(OwnValue ...$own): CropBook
    {
        return (new BookReader())->read([...Book::rows(), ...array_map(static fn (OwnValue $v): array => $v->row(), $own)]);
    }
}
