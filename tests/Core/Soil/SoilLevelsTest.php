<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Soil;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Land\Bed;
use JollyFurrow\Lime\LimeKind;
use JollyFurrow\Lime\LimeNeed;
use JollyFurrow\Lime\PhTarget;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\ManureWait;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\RateBasis;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\Salts;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\SoilUnit;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Soil\Texture;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Us;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a number of a laboratory means, and what is done about it. */
final class SoilLevelsTest extends TestCase
{
    /** The index limits of AHDB RB209 for Olsen phosphorus (from memory): 9 is index 0, 10 index 1, 15, 16, 25, 26, 45, 46. */
    #[TestWith([9.0, SoilLevel::VeryLow])]
    #[TestWith([10.0, SoilLevel::Low])]
    #[TestWith([15.0, SoilLevel::Low])]
    #[TestWith([16.0, SoilLevel::Middling])]
    #[TestWith([25.0, SoilLevel::Middling])]
    #[TestWith([26.0, SoilLevel::High])]
    #[TestWith([45.0, SoilLevel::High])]
    #[TestWith([46.0, SoilLevel::VeryHigh])]
    public function testOlsen(float $p, SoilLevel $level): void
    {
        self::assertSame($level, self::test(p: $p, pBy: Extract::Olsen)->phosphorus());
    }

    /** The same 30 mg a kg is low, middling, high or very high by the way it was drawn out. */
    public function testAMethodMakesTheNumber(): void
    {
        $levels = array_map(static fn (Extract $by): ?SoilLevel => self::test(p: 30.0, pBy: $by)->phosphorus(), Extract::forPhosphorus());

        self::assertSame([SoilLevel::High, SoilLevel::Middling, SoilLevel::Middling, SoilLevel::High, SoilLevel::Low], $levels);
        self::assertNull(self::test(p: 30.0)->phosphorus(), 'no method, no meaning');
        self::assertNull(self::test(p: 30.0, pBy: Extract::AmmoniumNitrate)->phosphorus(), 'it draws potassium');
    }

    /** 60 lb an acre is 30 ppm; 3 mg in 100 g is 30 mg a kg; 67.2 kg/ha. */
    #[TestWith([60.0, SoilUnit::LbPerAcre])]
    #[TestWith([30.0, SoilUnit::Ppm])]
    #[TestWith([3.0, SoilUnit::MgPer100g])]
    #[TestWith([67.2, SoilUnit::KgPerHa])]
    public function testUnits(float $value, SoilUnit $unit): void
    {
        self::assertEqualsWithDelta(30.0, $value * $unit->inMgPerKg(), 1e-9);
    }

    /** The bed's own test before its block's, value by value the newest that says; no test: by use, and said. */
    public function testOfABed(): void
    {
        $block = self::test(day: '2024-03-01', block: 'A', p: 12.0, pBy: Extract::Olsen, ph: 6.1, organic: 4.0);
        $bed = self::test(day: '2025-03-01', bed: 'A1', p: 50.0, pBy: Extract::Olsen);
        self::assertSame([SoilLevel::VeryHigh, 6.1, 4.0], [self::ofA1([$block, $bed])->p, self::ofA1([$block, $bed])->ph,
            self::ofA1([$block, $bed])->organic]);
        self::assertSame([SoilLevel::Middling, false, 3.0], [self::ofA1([])->p, self::ofA1([])->isTested, self::ofA1([])->organic]);
        self::assertSame(SoilLevel::High, self::ofA1([], PlaceType::Tunnel)->p);
        self::assertFalse(self::ofA1([$bed])->isOld);
        self::assertTrue(self::ofA1([self::test(day: '2021-03-01', bed: 'A1', p: 50.0, pBy: Extract::Olsen)])->isOld);
    }

    /**
     * AHDB RB209, section 1 (from memory): from 5.5 to 6.5 a sandy loam takes 7 t/ha. On 18.75 m2 13.1 kg, in two goes of at
     * most 5 t/ha.
     */
    public function testLime(): void
    {
        $lime = LimeNeed::of(self::soil(5.5, Texture::SandyLoam), Area::fromSquareMetres(18.75), 6.5);

        self::assertSame([LimeKind::Lime, 13.125, 2], [$lime?->kind, $lime?->kg, $lime?->goes]);
        self::assertSame([6.0, 7.0, 8.0, 16.0], array_map(static fn (Texture $t): float => LimeNeed::lime($t, 1.0) / 100, [Texture::Sand,
            Texture::Loam, Texture::Clay, Texture::Peat]));
        self::assertNull(LimeNeed::of(self::soil(6.9, Texture::Loam), Area::fromSquareMetres(18.75), 6.5), 'a little high is lived with');
        self::assertSame(LimeKind::Sulphur, LimeNeed::of(self::soil(7.0, Texture::Loam), Area::fromSquareMetres(18.75), 6.5)?->kind);
        self::assertNull(LimeNeed::of(self::soil(6.4, Texture::Loam), Area::fromSquareMetres(18.75), 6.5), 'near enough');
        self::assertNull(LimeNeed::of(self::soil(null, Texture::Loam), Area::fromSquareMetres(18.75), 6.5), 'no test, no lime');
    }

    /** Row by row, pounds an acre to 6.5 on sand, loam, clay (from memory, believed to be Tisdale and Nelson). */
    #[TestWith([8.5, 2000.0, 2500.0, 3000.0])]
    #[TestWith([8.0, 1200.0, 1500.0, 2000.0])]
    #[TestWith([7.5, 500.0, 800.0, 1000.0])]
    #[TestWith([7.0, 100.0, 150.0, 300.0])]
    #[TestWith([6.5, 0.0, 0.0, 0.0])]
    public function testSulphur(float $from, float $sand, float $loam, float $clay): void
    {
        $pounds = static fn (Texture $t): float => round(LimeNeed::sulphur($t, $from, 6.5) * Us::acres(1)->squareMetres / 453.59237, 3);

        self::assertSame([$sand, $loam, $clay], array_map($pounds, [Texture::Sand, Texture::Loam, Texture::Clay]));
    }

    /** Potatoes want 5.5 to 6.0, onions 6.0 to 6.8 (common practice): 6.0 suits both. With asparagus no pH suits all. */
    public function testATargetByRotation(): void
    {
        $crop = static fn (string $key): array => array_map(static fn (string $k): Crop => Book::crops()->get($k), explode(' ',
            $key));
        $both = PhTarget::of($crop('potato-storage onion'));
        $all = PhTarget::of($crop('potato-storage asparagus leek'));

        self::assertSame([6.0, []], [$both->ph, $both->unsuited]);
        self::assertSame(['potato-storage'], array_map(static fn (Crop $c): string => $c->key, $all->unsuited));
        self::assertSame(6.5, PhTarget::of([])->ph);
    }

    /** US 7 CFR 205.203(c)(1): carrots 120 days, tomatoes 90, from the day it was worked in; on top it does not count. */
    public function testRawManure(): void
    {
        $spread = static fn (?Day $in): Spread => new Spread('s1', 'A1', Day::parse('2026-03-01'), 'manure', 50.0, Nutrients::of(0.6, 0.3,
            0.6),
            Release::Manure, Heat::Raw, Area::fromSquareMetres(18.75), $in);
        $in = Day::parse('2026-03-03');

        self::assertSame(['2026-07-01', '2026-06-01', null], [ManureWait::until($spread($in), Book::crops()->get('carrot'))?->iso(),
            ManureWait::until($spread($in), Book::crops()->get('tomato'))?->iso(), ManureWait::until($spread(null),
                Book::crops()->get('carrot'))?->iso()]);
    }

    /** Maas and Hoffman 1977, as in FAO 29 (from memory): carrots lose 14 % for each dS/m above 1.0; beets nothing below 4.0. */
    public function testSalt(): void
    {
        self::assertEqualsWithDelta([0.14, 0.0, 0.0, 0.09], [Salts::loss('carrot', 2.0), Salts::loss('carrot', 1.0), Salts::loss('beet',
            4.0),
            Salts::loss('beet', 5.0)], 1e-9);
        self::assertEqualsWithDelta(2.2, self::test(salt: 1.0, saltBy: SaltWay::OneToTwo)->paste(), 1e-9);
    }

    /** 150 lb N an acre on 100 ft of 30 in bed: 0.86 lb by the bed, 1.38 with paths at 48 in centres. */
    public function testBedsOrGround(): void
    {
        $bed = new Bed('A1', 'A', 0, Us::feet(100), Us::inches(30), Us::inches(18), PlaceType::Field);
        $pounds = 150 / Us::acres(1)->squareMetres * $bed->area()->squareMetres;

        self::assertSame([0.86, 1.38], [round($pounds * RateBasis::Beds->times($bed), 2), round($pounds * RateBasis::Ground->times($bed),
            2)]);
    }

    /** 10 t of manure an acre are 2.47 kg a square metre; 50 g of 4-4-2 a square foot are 215 kg N a hectare. */
    public function testRatesOfPractice(): void
    {
        self::assertSame(2.47, round(10_000 / Us::acres(1)->squareMetres, 2));
        $spread = new Spread('s1', 'A1', Day::parse('2026-03-01'), 'x', 0.05, Nutrients::of(4.0, 4.0, 2.0), Release::Soluble,
            Heat::NoManure,
            Area::fromSquareMetres(0.3048 ** 2));
        self::assertSame(215.0, round($spread->total()->n * 10));
        self::assertTrue($spread->isMuchNitrogen());
        self::assertFalse($spread->isMuchPhosphate(), '215 kg of phosphate, 250 are much');
    }

    /**
     * 4 in of compost on 25 m by 75 cm are 1.905 m3 (common practice): some 1,140 kg with 4.6 kg of phosphate on 18.75 m2, and
     * flagged.
     */
    public function testTooMuchCompost(): void
    {
        $litres = Length::fromMetres(25)->times(Length::fromCentimetres(75))->timesDepth(Us::inches(4))->litres;
        $spread = new Spread('s1', 'A1', Day::parse('2026-03-01'), 'compost', $litres * 0.6, Nutrients::of(0.8, 0.4, 0.7), Release::Compost,
            Heat::NoManure, Area::fromSquareMetres(18.75));

        self::assertSame(1905.0, round($litres));
        self::assertTrue($spread->isMuchPhosphate());
    }

    /** Compost gives 15, 10, 5 % of its nitrogen in three years, then none; all its potash in the first. */
    public function testReleaseOverTheYears(): void
    {
        $spread = new Spread('s1', 'A1', Day::parse('2026-03-01'), 'compost', 100.0, Nutrients::of(1.0, 0.5, 0.8), Release::Compost,
            Heat::Composted, Area::fromSquareMetres(10.0));

        self::assertEqualsWithDelta([15.0, 10.0, 5.0, 0.0], array_map(static fn (int $n): float => $spread->inYear($n)->n, [0, 1, 2, 3]),
            1e-9);
        self::assertEqualsWithDelta([80.0, 0.0], [$spread->inYear(0)->k2o, $spread->inYear(1)->k2o], 1e-9);
    }

    /** @param list<SoilTest> $tests */
    private static function ofA1(array $tests, PlaceType $place = PlaceType::Field): BedSoil
    {
        return (new SoilBook($tests))->soilOf(new Bed('A1', 'A', 0, Length::fromMetres(25), Length::fromCentimetres(75),
            Length::fromCentimetres(45), $place), Day::parse('2026-03-01'));
    }

    private static function soil(?float $ph, Texture $texture): BedSoil
    {
        return BedSoil::of([self::test(ph: $ph, texture: $texture)], SoilLevel::Middling, new FeedRules(), Day::parse('2026-03-01'));
    }

    private static function test(string $day = '2025-10-01', string $bed = '', string $block = '', ?float $p = null, ?Extract $pBy = null,
        ?float $ph = null, ?float $organic = null, ?Texture $texture = null, ?float $salt = null, ?SaltWay $saltBy = null): SoilTest
    {
        return new SoilTest('t', $bed, $block, Day::parse($day), ph: $ph, organic: $organic, p: $p, pBy: $pBy, salt: $salt, saltBy: $saltBy,
            texture: $texture);
    }
}
