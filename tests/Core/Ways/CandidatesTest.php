<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Ways;

use JollyFurrow\Crop\Method;
use JollyFurrow\Shelter\PlaceType;
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
    /** Lettuce sown 14 April: 28 days in the nursery, 42 in the bed, half of 5 days of spread, 11 of hold; 5 of preparation. */
    public function testDatesOfATransplant(): void
    {
        $candidate = self::candidates()->sownOn(Book::crops()->get('lettuce-head'), Day::parse('2026-04-14'), PlaceType::Field,
            Method::Transplanted);

        self::assertNotNull($candidate);
        self::assertSame(['2026-05-12', '2026-05-07', '2026-06-25', '2026-07-06'],
            array_map(static fn (int $d): string => Day::of($d)->iso(), [$candidate->ground,
                $candidate->bedStart, $candidate->ready, $candidate->lastField]));
    }

    /** A lettuce of late September would have to live through the winter: not counted on in the open at 47 degrees north. */
    public function testNothingGrowsOnOverWinterThatFreezes(): void
    {
        $candidates = new Candidates(LittleGarden::timed('2026-03-02'), Book::recipes());
        $sown = static fn (string $day): ?Candidate => $candidates->sownOn(Book::crops()->get('lettuce-head'), Day::parse($day),
            PlaceType::Field,
            Method::Transplanted);

        self::assertNotNull($sown('2026-07-01'));
        self::assertNull($sown('2026-09-15'));
    }

    public function testOutsideItsWindowThereIsNone(): void
    {
        self::assertNull(self::candidates()->sownOn(Book::crops()->get('corn'), Day::parse('2026-04-01'), PlaceType::Field, Method::Sown));
        self::assertNull(self::candidates()->sownOn(Book::crops()->get('corn'), Day::parse('2026-06-02'), PlaceType::Tunnel, Method::Sown),
            'nobody gives it a roof');
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
