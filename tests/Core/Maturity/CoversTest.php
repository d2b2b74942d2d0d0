<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Crop\Method;
use JollyFurrow\Hand\Covering;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Risk;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Season\SowingDay;
use JollyFurrow\Season\TimingCurve;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\CoverCare;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CoversTest extends TestCase
{
    private static function over(string $from, string $to, Cover $cover = Cover::LowTunnel, Purpose $purpose = Purpose::Growth): Protection
    {
        return Protection::overBed('A1', $cover, $purpose, Period::fromFirstToLast(Day::parse($from), Day::parse($to)));
    }

    public function testACoverThatIsAlwaysOnIsTheCoverItself(): void
    {
        $timing = new LocalTiming(Larkspur::weather());
        foreach (['lettuce-leaf', 'corn', 'garlic', 'carrot'] as $key) {
            $crop = Book::crops()->get($key);
            $always = $timing->of($crop, Cover::LowTunnel);
            $spanned = $timing->of($crop, CoverCalendar::with(Cover::None, [self::over('2024-01-01', '2030-01-01')]));
            $never = $timing->of($crop, CoverCalendar::with(Cover::None, [self::over('2020-01-01', '2020-02-01')]));
            for ($sow = Day::parse('2026-02-01'); $sow->isBefore(Day::parse('2026-10-01')); $sow = $sow->plus(9)) {
                $method = $crop->methods()[0] ?? Method::Sown;
                $days = static fn (?Ripeness $r): array => [$r?->emerges, $r?->ready, $r?->lastGood, $r?->never?->logged()];
                self::assertSame($days($always->whatever($sow->number, $method)), $days($spanned->whatever($sow->number, $method)),
                    $key.' '.$sow->iso());
                self::assertSame($days($timing->of($crop, Cover::None)->whatever($sow->number, $method)),
                    $days($never->whatever($sow->number, $method)));
            }
        }
    }

    /** Own model: in the cool part of the year a cover brings the harvest forward, the longer it is on the more. */
    public function testInTheCoolOfTheYearEachWeekUnderCoverHelps(): void
    {
        $timing = new LocalTiming(Larkspur::weather());
        $lettuce = Book::crops()->get('lettuce-leaf');
        $sow = Day::parse('2026-03-25');
        $before = $timing->of($lettuce, Cover::None)->forward($sow->number, Method::Sown)->ready ?? 0;
        foreach ([7, 14, 21, 28] as $days) {
            $ready = $timing->of($lettuce, CoverCalendar::with(Cover::None,
                [self::over('2026-03-25', $sow->plus($days)->iso())]))->forward($sow->number, Method::Sown)->ready ?? 0;
            self::assertLessThanOrEqual($before, $ready);
            $before = $ready;
        }
        self::assertLessThan($timing->of($lettuce, Cover::None)->forward($sow->number, Method::Sown)->ready ?? 0, $before);
    }

    public function testACoverInsideATunnelIsATunnelWithACover(): void
    {
        self::assertSame(Cover::TunnelCovered, Cover::Tunnel->under(Cover::RowCover));
        self::assertSame(Cover::Heated, Cover::Tunnel->under(Cover::Heated));
        self::assertSame(Cover::Heated, Cover::Heated->under(Cover::RowCover));
        self::assertSame(Cover::LowTunnel, Cover::None->under(Cover::LowTunnel));
        $calendar = CoverCalendar::with(Cover::None, [self::over('2026-04-01', '2026-04-10', Cover::RowCover), self::over('2026-04-05',
            '2026-04-20', Cover::LowTunnel)]);
        self::assertSame([Cover::None, Cover::RowCover, Cover::LowTunnel, Cover::None],
            array_map(static fn (string $day): Cover => $calendar->at(Day::parse($day)->number), ['2026-03-31', '2026-04-04', '2026-04-07', '2026-04-21']));
        self::assertSame(Day::parse('2026-04-20')->number, $calendar->stays(Day::parse('2026-04-07')->number));
    }

    public function testOpenedForWeedingEveryElevenDaysAndOffForTheBees(): void
    {
        $garden = LittleGarden::timed('2026-05-01');
        $planting = LittleGarden::radish('2026-05-10');
        $care = CoverCare::of($garden, $planting, Book::crops()->get('radish'), self::over('2026-05-10', '2026-06-30'));
        self::assertSame(['2026-05-21', '2026-06-01', '2026-06-12'], array_map(static fn (Day $d): string => $d->iso(),
            $care->weedings ?? []));
        self::assertNull($care?->flowering);
        self::assertSame('2026-06-02', CoverCare::of($garden, $planting, Book::crops()->get('squash-summer'), self::over('2026-05-10',
            '2026-06-30'))?->flowering?->iso());
        self::assertNull(CoverCare::of($garden, $planting, Book::crops()->get('squash-summer'), self::over('2026-05-10',
            '2026-05-25'))?->flowering, 'off long before it flowers');
        self::assertNull(CoverCare::of($garden, $planting, Book::crops()->get('radish'), self::over('2026-08-10', '2026-08-25')),
            'nothing stands under it');
    }

    public function testWhatStandsUnderACoverIsReadySoonerAndWhatIsBesideItIsNotTouched(): void
    {
        $under = LittleGarden::radish('2026-03-20');
        $beside = LittleGarden::radish('2026-03-20', 'A2', 0, 5_000_000, Standing::Planned, 2);
        $garden = LittleGarden::timed('2026-03-01', [$under, $beside]);
        $moved = (new Covering(Book::crops(), Book::recipes()))->of($garden, [self::over('2026-03-18', '2026-05-10')]);

        self::assertSame([$under->key], array_map(static fn (array $m): string => $m['is']->key, $moved));
        self::assertTrue($moved[0]['is']->ready->isBefore($under->ready));
        self::assertSame($under->sow, $moved[0]['is']->sow);
        self::assertSame([], (new Covering(Book::crops(), Book::recipes()))->of($garden, [self::over('2026-07-18', '2026-08-10')]));
        // Taken off again, the dates are the ones from before.
        $covered = $garden->covered([self::over('2026-03-18', '2026-05-10')])->with([$moved[0]['is'], $beside]);
        self::assertEquals($under, (new Covering(Book::crops(), Book::recipes()))->of($covered, [])[0]['is']);
    }

    public function testACoverOverTheFirstFrostKeepsATenderCropAWhile(): void
    {
        $basil = Book::crops()->get('basil');
        $candidates = new \JollyFurrow\Ways\Candidates(LittleGarden::on('2026-05-01'), Book::recipes());
        $last = static fn (?CoverCalendar $covers): string => Day::of($candidates->inTheGround($basil, Day::parse('2026-07-20'),
            Day::parse('2026-07-20'), PlaceType::Field, Method::Sown, $covers)->lastField)->iso();

        self::assertLessThanOrEqual('2026-10-25', $last(null));
        self::assertGreaterThanOrEqual($last(null), $last(CoverCalendar::with(Cover::None, [self::over('2026-09-20', '2026-11-01')])));
        self::assertSame($last(null), $last(CoverCalendar::with(Cover::None, [self::over('2026-07-20', '2026-08-01')])));
    }

    /** Common practice: what stands against a sowing here, and when. */
    #[TestWith(['corn', 'sown', '2026-04-05', Risk::ColdSoil])]
    #[TestWith(['bean-bush', 'sown', '2026-04-20', Risk::ColdSoil])]
    #[TestWith(['corn', 'sown', '2026-09-01', Risk::Frost])]
    #[TestWith(['squash-summer', 'transplanted', '2026-03-25', Risk::Frost])]
    #[TestWith(['spinach', 'sown', '2026-05-10', Risk::Bolting])]
    #[TestWith(['beet', 'sown', '2026-02-10', Risk::ColdSoil])]
    #[TestWith(['lettuce-leaf', 'sown', '2026-09-12', Risk::LittleLight])]
    public function testASowingIsWarnedOfForItsReason(string $key, string $method, string $sow, Risk $risk): void
    {
        $day = self::sowing($key, $method, $sow);

        self::assertArrayHasKey($risk->value, $day->risks, $key.': '.implode('; ', array_map(Said::of(...), $day->risks)));
    }

    #[TestWith(['corn', 'sown', '2026-05-20'])]
    #[TestWith(['bean-bush', 'sown', '2026-06-10'])]
    #[TestWith(['arugula', 'sown', '2026-08-20'])]
    #[TestWith(['carrot', 'sown', '2026-05-10'])]
    #[TestWith(['lettuce-leaf', 'sown', '2026-05-20'])]
    #[TestWith(['kale', 'transplanted', '2026-05-20'])]
    public function testASowingInItsTimeIsSafe(string $key, string $method, string $sow): void
    {
        self::assertSame([], self::sowing($key, $method, $sow)->risks, $key);
    }

    /** Heat: where the summer's weeks are hot, cool crops are warned of in them. */
    public function testAHotSummersWeekIsTold(): void
    {
        $g = LittleGarden::timed('2026-03-01');
        $hot = \JollyFurrow\Climate\MonthlyMeans::of([5.0, 6, 9, 12, 16, 20, 23, 23, 19, 14, 9, 6], [14.0, 16, 20, 24, 29, 34, 37, 37,
            31, 25, 19, 15], array_fill(0, 12, 30.0));
        $garden = new \JollyFurrow\Garden\Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], [], [], [], [],
            [], \JollyFurrow\Maturity\PlaceClimate::fromMonths($hot, 38.0));
        $curve = TimingCurve::of($garden, Book::crops()->get('radish'), Method::Sown, PlaceType::Field, Day::parse('2026-01-01'));
        $heat = array_filter($curve->days ?? [], static fn (SowingDay $d): bool => isset($d->risks[Risk::Heat->value]));

        self::assertGreaterThan(60, \count($heat));
        self::assertArrayNotHasKey(Day::parse('2026-03-01')->number - Day::parse('2026-01-01')->number, $heat);
    }

    /** Common practice: long-day onions set late ripen with the others, and smaller. */
    public function testOnionsPlantedLateRipenSmallerNotLater(): void
    {
        $timing = new LocalTiming(Larkspur::weather());
        foreach (['onion' => 50, 'onion-set' => 0, 'shallot' => 0] as $key => $nursery) {
            $crop = Book::crops()->get($key);
            $planted = static fn (string $day): ?\JollyFurrow\Maturity\Ripeness => $timing->of($crop,
                Cover::None)->fromGround(Day::parse($day)->number - $nursery, Day::parse($day)->number, $crop->methods()[0]
                ?? Method::Sown);
            $before = null;
            foreach (['2026-03-25', '2026-04-09', '2026-04-25', '2026-05-10', '2026-05-25', '2026-06-08'] as $day) {
                $ripe = $planted($day);
                self::assertNotNull($ripe, $key.' '.$day);
                self::assertTrue(null === $before || ($ripe->ready >= $before->ready && $ripe->size <= $before->size), $key.' '.$day);
                $before = $ripe;
            }
            self::assertGreaterThan(0.85, $planted('2026-03-28')->size ?? 0.0, $key);
            self::assertTrue(($planted('2026-05-25')->size ?? 1.0) > 0.55 && ($planted('2026-05-25')->size ?? 1.0) < 0.85,
                $key.': three quarters of the size');
            self::assertLessThan(22, ($planted('2026-05-25')->ready ?? 999) - ($planted('2026-04-09')->ready ?? 0), $key);
            self::assertMatchesRegularExpression('/^2026-(07-2|07-3|08-[012])/', Day::of($planted('2026-04-09')->ready ?? 0)->iso());
        }
        self::assertArrayHasKey(Risk::Small->value, self::sowing('onion-set', 'sown', '2026-05-25')->risks);
        self::assertSame(1.0, $timing->of(Book::crops()->get('leek'), Cover::None)->forward(Day::parse('2026-04-01')->number,
            Method::Transplanted)?->size);
    }

    public function testAnOnionMovedLaterGivesLess(): void
    {
        $garden = LittleGarden::timed('2026-02-01');
        $hand = new \JollyFurrow\Hand\ByHand(Book::crops(), Book::recipes());
        $way = (new \JollyFurrow\Ways\Candidates($garden, Book::recipes()))->sownOn(Book::crops()->get('onion-set'),
            Day::parse('2026-04-03'), PlaceType::Field, Method::Sown);
        self::assertNotNull($way);
        $planting = new \JollyFurrow\Planting\Planting('onion@2026-03-20#1', 'onion', Method::Sown, PlaceType::Field, $way->recipe,
            Day::of($way->sow), Day::of($way->ground), Day::of($way->bedStart), Day::of($way->ready), Day::of($way->lastField),
            $way->perMetre, [\JollyFurrow\Land\Stretch::of('A1', 0, 5_000_000)], Standing::Planned, false, variety: 'onion-set');

        self::assertLessThan(0.9 * $planting->perMetre, $hand->sowOn($garden, $planting, Day::parse('2026-05-25'))->perMetre);
        self::assertSame($planting->perMetre, $hand->sowOn($garden, $hand->sowOn($garden, $planting, Day::parse('2026-05-25')),
            $planting->sow)->perMetre);
    }

    private static function sowing(string $key, string $method, string $sow): SowingDay
    {
        $curve = TimingCurve::of(LittleGarden::timed('2026-01-01'), Book::crops()->get($key), Method::from($method), PlaceType::Field,
            Day::parse('2026-01-01'))
            ?? TimingCurve::of(LittleGarden::timed('2026-01-01'), Book::crops()->get($key), Method::from($method), PlaceType::Tunnel,
                Day::parse('2026-01-01'));

        return $curve->days[Day::parse($sow)->number - Day::parse('2026-01-01')->number]
            ?? throw new \LogicException('There is no such day.');
    }
}
