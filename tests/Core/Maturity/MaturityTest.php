<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Crop\Method;
use JollyFurrow\Growth\Emergence;
use JollyFurrow\Growth\TemperatureResponse;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MaturityTest extends TestCase
{
    /**
     * Harrington & Minges 1954 (University of California), days to emergence at the table's own temperatures and, worked
     * by hand, halfway between two of them, where the rates are averaged: carrot at 12.5 degrees, 1 / ((1/17.3 + 1/10.1) / 2) = 12.75.
     */
    #[TestWith(['carrot', 10.0, 17.3])]
    #[TestWith(['carrot', 15.0, 10.1])]
    #[TestWith(['carrot', 20.0, 6.9])]
    #[TestWith(['carrot', 25.0, 6.2])]
    #[TestWith(['carrot', 12.5, 12.75])]
    #[TestWith(['lettuce-head', 5.0, 14.9])]
    #[TestWith(['lettuce-head', 10.0, 7.0])]
    #[TestWith(['lettuce-head', 20.0, 2.6])]
    #[TestWith(['lettuce-head', 7.5, 9.53])]
    #[TestWith(['onion', 10.0, 13.4])]
    #[TestWith(['onion', 20.0, 4.6])]
    #[TestWith(['onion', 12.5, 9.28])]
    #[TestWith(['tomato', 15.0, 13.6])]
    #[TestWith(['tomato', 20.0, 8.2])]
    #[TestWith(['tomato', 25.0, 5.9])]
    #[TestWith(['tomato', 17.5, 10.23])]
    public function testEmergenceOfHarringtonAndMinges(string $crop, float $soil, float $days): void
    {
        self::assertEqualsWithDelta($days, Book::crops()->get($crop)->growth->emergence->daysAt($soil), 0.01);
    }

    public function testBeyondTheTableNothingComesUp(): void
    {
        $corn = Book::crops()->get('corn')->growth->emergence;

        self::assertNull($corn->daysAt(2.0));
        self::assertEqualsWithDelta($corn->daysAt(35.0) ?? 0.0, $corn->daysAt(37.0) ?? 0.0, 0.01, 'held to its upper limit');
        self::assertNull($corn->daysAt(42.0));
        self::assertGreaterThan(21.6, (new Emergence([10 => 21.6, 15 => 12.4]))->daysAt(8.0));
    }

    /**
     * Yan & Hunt 1999 (Annals of Botany 84: 607-614): nought at both ends, one at the best; and by hand for 4, 22 and 33
     * degrees at 13: (20 / 11) x (9 / 18) ^ (18 / 11) = 0.5848.
     */
    public function testTheBetaFunctionAtItsCardinalPointsAndOneBetween(): void
    {
        $response = new TemperatureResponse(4, 22, 33);

        self::assertSame([0.0, 0.0, 0.0], [$response->at(4), $response->at(33), $response->at(-5)]);
        self::assertEqualsWithDelta(1.0, $response->at(22), 1e-12);
        self::assertEqualsWithDelta(0.5848, $response->at(13), 0.0001);
    }

    /**
     * The shapes growers know at 47 degrees north, July mean 19 degrees C (common practice, no source): sowing or planting
     * day, then the window of the first ready day. The book's crops stand for the catalogue days named.
     */
    #[DataProvider('shapes')]
    public function testTheShapesGrowersKnow(string $crop, Method $method, Cover $cover, int $catalogue, string $sow, string $from,
        string $to): void
    {
        $ripe = $this->ripe($crop, $method, $cover, $catalogue, $sow);

        self::assertNotNull($ripe);
        self::assertGreaterThanOrEqual($from, Day::of($ripe->ready)->iso());
        self::assertLessThanOrEqual($to, Day::of($ripe->ready)->iso());
    }

    /** @return iterable<string, array{string, Method, Cover, int, string, string, string}> */
    public static function shapes(): iterable
    {
        yield '48-day summer squash sown 20 May' => ['squash-summer', Method::Sown, Cover::None, 48, '2026-05-20', '2026-07-10',
            '2026-07-20'];
        yield '75-day corn sown 20 May' => ['corn', Method::Sown, Cover::None, 75, '2026-05-20', '2026-08-01', '2026-08-12'];
        yield '100-day winter squash sown 20 May' => ['squash-winter', Method::Sown, Cover::None, 100, '2026-05-20', '2026-09-10',
            '2026-09-30'];
        yield '75-day carrot sown in mid-July' => ['carrot', Method::Sown, Cover::None, 75, '2026-07-15', '2026-09-15', '2026-10-15'];
        yield '55-day lettuce sown in mid-August' => ['lettuce-leaf', Method::Sown, Cover::None, 55, '2026-08-15', '2026-10-18',
            '2026-10-31'];
        yield '55-day lettuce sown in mid-September, covered tunnel' => ['lettuce-leaf', Method::Sown, Cover::TunnelCovered, 55,
            '2026-09-15', '2026-12-01', '2027-03-31'];
        yield '55-day lettuce sown in mid-September in the open: not before winter' => ['lettuce-leaf', Method::Sown, Cover::None, 55,
            '2026-09-15', '2027-03-15', '2027-05-31'];
    }

    /** Within a tenth, May to July, crops of both kinds. */
    #[TestWith(['lettuce-leaf', 55, '2026-05-15'])]
    #[TestWith(['carrot', 75, '2026-05-15'])]
    #[TestWith(['beet', 58, '2026-05-15'])]
    #[TestWith(['radish', 28, '2026-05-20'])]
    #[TestWith(['bean-bush', 55, '2026-06-01'])]
    #[TestWith(['corn', 70, '2026-05-28'])]
    public function testCatalogueDaysHoldFromMayToJuly(string $crop, int $catalogue, string $sow): void
    {
        $ripe = $this->ripe($crop, Method::Sown, Cover::None, $catalogue, $sow);

        self::assertNotNull($ripe);
        $spread = intdiv(Book::crops()->get($crop)->timing->spread, 2);
        self::assertEqualsWithDelta($catalogue + $spread, $ripe->ready - $ripe->sow, 0.1 * $catalogue);
    }

    public function testMidAugustIsAQuarterSlowerThanMidMay(): void
    {
        $may = $this->ripe('lettuce-leaf', Method::Sown, Cover::None, 55, '2026-05-15');
        $august = $this->ripe('lettuce-leaf', Method::Sown, Cover::None, 55, '2026-08-15');

        self::assertNotNull($may);
        self::assertNotNull($august);
        self::assertEqualsWithDelta(1.25, ($august->ready - $august->sow) / ($may->ready - $may->sow), 0.06);
    }

    /** A tunnel brings a March sowing forward by weeks; sowings a week apart come closer in spring and drift apart in late summer. */
    public function testTunnelsAndTheDriftOfSuccessions(): void
    {
        $ready = fn (string $sow, Cover $cover = Cover::None): int => $this->ripe('lettuce-leaf', Method::Sown, $cover, 55, $sow)->ready
            ?? 0;

        self::assertGreaterThan(14, $ready('2026-03-01') - $ready('2026-03-01', Cover::Tunnel));
        self::assertLessThan(5, $ready('2026-04-08') - $ready('2026-04-01'));
        self::assertGreaterThan(9, $ready('2026-08-15') - $ready('2026-08-08'));
    }

    /** Lettuce plugs: five to six weeks in February, about three in July (common practice, no source). */
    public function testTheNurseryHasItsOwnPace(): void
    {
        $nursery = static fn (string $sow): int => null !== ($ripe = (new LocalTiming(Larkspur::weather()))->of(Book::crops()->get('lettuce-head'),
            Cover::None)->whatever(Day::parse($sow)->number, Method::Transplanted)) ? $ripe->ground - $ripe->sow : 0;

        self::assertEqualsWithDelta(39, $nursery('2026-02-05'), 4);
        self::assertEqualsWithDelta(22, $nursery('2026-07-01'), 2);
    }

    /** Garlic and asparagus follow the year: weeks of planting move them by days, a warmer or southern place by its own season. */
    public function testWinterTypesAreHarvestedInTheirSeason(): void
    {
        $ready = static fn (string $planted, float $latitude = Larkspur::NORTH): string => Day::of((new LocalTiming(Larkspur::weather($latitude)))->of(Book::crops()->get('garlic'),
            Cover::None)->forward(Day::parse($planted)->number, Method::Sown)->ready ?? 0)->iso();

        self::assertSame(['2026-07-08', '2026-07-13'], [$ready('2025-10-05'), $ready('2025-11-10')]);
        self::assertStringStartsWith('2027-01-', $ready('2026-04-06', -Larkspur::NORTH));
    }

    public function testASouthernGardenMirrorsANorthernOne(): void
    {
        $days = static fn (string $sow, float $latitude): int => null !== ($ripe = (new LocalTiming(Larkspur::weather($latitude)))->of(Book::crops()->get('lettuce-leaf'),
            Cover::None)->forward(Day::parse($sow)->number, Method::Sown)) ? $ripe->ready - $ripe->sow : 0;

        self::assertEqualsWithDelta($days('2025-05-15', Larkspur::NORTH), $days('2025-11-14', -Larkspur::NORTH), 4);
        self::assertEqualsWithDelta($days('2025-08-10', Larkspur::NORTH), $days('2026-02-09', -Larkspur::NORTH), 5);
    }

    /** ready(S) <= h < ready(S + 1) for every crop, place and day of a year, and an honest nothing where there is none. */
    public function testBackwardIsTheInverseOfForward(): void
    {
        $timing = new LocalTiming(Larkspur::weather());
        $first = Day::parse('2026-01-01')->number;
        foreach (Book::crops()->all() as $crop) {
            foreach (PlaceType::cases() as $place) {
                $ripening = $timing->of($crop, Cover::usualOf($place));
                foreach ($crop->methods() as $method) {
                    for ($wanted = $first; $wanted < $first + 365; ++$wanted) {
                        $latest = $ripening->latestFor($wanted, $method);
                        if (null === $latest) {
                            foreach ([30, 60, 90, 180, 400] as $before) {
                                self::assertGreaterThan($wanted, $ripening->forward($wanted - $before, $method)->ready ?? \PHP_INT_MAX,
                                    $crop->key);
                            }
                            continue;
                        }
                        self::assertLessThanOrEqual($wanted, $latest->ready, $crop->key);
                        self::assertGreaterThan($wanted, $ripening->forward($latest->sow + 1, $method)->ready ?? \PHP_INT_MAX,
                            $crop->key.' '.$wanted);
                    }
                }
            }
        }
    }

    /** A summer's corn is not answered with the summer before's, though sowings between the two are ended by frost. */
    public function testBackwardFindsTheSowingOfTheSameSummer(): void
    {
        $latest = (new LocalTiming(Larkspur::weather()))->of(Book::crops()->get('corn'),
            Cover::None)->latestFor(Day::parse('2026-09-01')->number, Method::Sown);

        self::assertNotNull($latest);
        self::assertStringStartsWith('2026-0', Day::of($latest->sow)->iso());
    }

    private function ripe(string $crop, Method $method, Cover $cover, int $catalogue, string $sow): ?Ripeness
    {
        $ripening = (new LocalTiming(Larkspur::weather()))->of(Book::crops()->get($crop), $cover);
        $day = Day::parse($sow)->number;
        $up = $ripening->emerges($day);
        $book = (float) (Book::crops()->get($crop)->timing->daysFor($method) ?? 0);

        return null === $up ? null : $ripening->fromStage($day, $day, $up, $up,
            $ripening->toCome($method) + $catalogue - $book - self::spread($crop));
    }

    private static function spread(string $crop): int
    {
        return Book::crops()->get($crop)->pattern->isStock() ? intdiv(Book::crops()->get($crop)->timing->spread, 2) : 0;
    }
}
