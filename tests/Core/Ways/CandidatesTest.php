<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Ways;

use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\Method;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;
use PHPUnit\Framework\TestCase;

final class CandidatesTest extends TestCase
{
    /** Lettuce sown 10 March: 28 days in the nursery, 42 in the bed, half of 5 days of spread, 7 of hold; 5 of preparation. */
    public function testDatesOfATransplant(): void
    {
        $candidate = self::candidates()->sownOn(Book::crops()->get('lettuce-head'), Day::parse('2026-03-10'), PlaceType::Field,
            Method::Transplanted);

        self::assertNotNull($candidate);
        self::assertSame(['2026-04-07', '2026-04-02', '2026-05-21', '2026-05-28'], array_map(static fn (int $d): string => Day::of($d)->iso(), [$candidate->ground, $candidate->bedStart, $candidate->ready, $candidate->lastField]));
    }

    /** In the open nothing is counted on that would be ready after midwinter; that day itself still is. */
    public function testNothingGrowsOnOverWinter(): void
    {
        $candidates = new Candidates(LittleGarden::timed('2026-03-02'), Book::recipes());
        $stands = static fn (string $ready, PlaceType $place = PlaceType::Field): bool => $candidates->standsOverWinter(Book::crops()->get('lettuce-head'), Day::parse('2026-09-01'), Day::parse($ready)->number, $place);

        self::assertSame([false, true, false], [$stands('2026-12-21'), $stands('2026-12-22'), $stands('2027-03-01', PlaceType::Tunnel)]);
    }

    public function testOutsideItsWindowThereIsNone(): void
    {
        self::assertNull(self::candidates()->sownOn(Book::crops()->get('corn'), Day::parse('2026-04-01'), PlaceType::Field, Method::Sown));
        self::assertNull(self::candidates()->sownOn(Book::crops()->get('corn'), Day::parse('2026-06-02'), PlaceType::Tunnel, Method::Sown));
        self::assertNull(self::candidates()->sownOn(Book::crops()->get('corn'), Day::parse('2026-06-02'), PlaceType::Field,
            Method::Transplanted));
    }

    public function testFrostEndsATenderCropAndATunnelKeepsItLonger(): void
    {
        $squash = self::candidates()->sownOn(Book::crops()->get('bean-bush'), Day::parse('2026-07-24'), PlaceType::Field, Method::Sown);
        $sheltered = self::candidates()->sownOn(Book::crops()->get('tomato'), Day::parse('2026-04-20'), PlaceType::Tunnel,
            Method::Transplanted);

        self::assertLessThan(Day::parse('2026-10-06')->number, $squash?->lastField);
        self::assertGreaterThan(Day::parse('2026-10-06')->number, $sheltered?->lastField);
    }

    public function testOnlyOnSowingDaysAndNeverBeforeToday(): void
    {
        $from = Day::parse('2026-04-01');
        $candidates = self::candidates()->of(Book::crops()->get('radish'), $from, $from->plus(60));

        self::assertNotSame([], $candidates);
        self::assertSame([Weekday::Tuesday],
            array_values(array_unique(array_map(static fn (Candidate $c): Weekday => Day::of($c->sow)->weekday(), $candidates),
                \SORT_REGULAR)));
        self::assertGreaterThanOrEqual($from->number, min(array_map(static fn (Candidate $c): int => $c->bedStart, $candidates)));
    }

    private static function candidates(): Candidates
    {
        return new Candidates(RandomGarden::of(2), Book::recipes());
    }
}
