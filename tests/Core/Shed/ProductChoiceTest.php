<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Shed;

use JollyFurrow\Measure\Area;
use JollyFurrow\Shed\BedDose;
use JollyFurrow\Shed\BedNeed;
use JollyFurrow\Shed\BlockMixes;
use JollyFurrow\Shed\Dose;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Shed\ProductChoice;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\ShedProduct;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ProductChoiceTest extends TestCase
{
    /**
     * Common practice: 25 kg N = 54.3 kg of 46-0-0; 12 kg P2O5 = 75 kg of 0-16-0; 12 kg of phosphorus = 172 kg of it; 30 kg
     * K2O = 50 kg of 0-0-60.
     */
    #[TestWith([46.0, 0.0, 0.0, 25.0, 0.0, 0.0, 54.3])]
    #[TestWith([0.0, 16.0, 0.0, 0.0, 12.0, 0.0, 75.0])]
    #[TestWith([0.0, 16.0, 0.0, 0.0, 12.0 / Nutrient::P_IN_P2O5, 0.0, 171.9])]
    #[TestWith([0.0, 0.0, 60.0, 0.0, 0.0, 30.0, 50.0])]
    public function testOneProduct(float $n, float $p, float $k, float $needN, float $needP, float $needK, float $kg): void
    {
        $dose = ProductChoice::from([self::product('a', $n, $p, $k, 100.0)])->exact(Nutrients::of($needN, $needP, $needK));

        self::assertSame($kg, round($dose->kilograms(), 1));
    }

    public function testWhatNothingCarriesIsNamed(): void
    {
        $dose = ProductChoice::from([self::product('a', 46.0, 0.0, 0.0, 100.0)])->exact(Nutrients::of(1.0, 1.0, 0.0));

        self::assertSame([[Nutrient::Phosphate], true], [$dose->lacking, $dose->isWithin]);
        self::assertEqualsWithDelta(1.0, $dose->gives->n, 1e-9);
    }

    public function testNoNeedNothingIsGiven(): void
    {
        self::assertSame([], ProductChoice::from([self::product('a', 46.0, 0.0, 0.0, 100.0)])->weighable(Nutrients::of(0.0, -1.0,
            0.0))->parts);
    }

    /** 4-4-2 alone would bring 1 kg of P2O5 with 1 kg of N; half a kilogram is allowed. */
    public function testTheAllowedExcessIsKeptOrItIsSaid(): void
    {
        $mixed = self::product('a', 4.0, 4.0, 2.0, 50.0);
        $need = Nutrients::of(1.0, 0.0, 0.0);
        $allowed = Nutrients::of(0.1, 0.5, 0.5);
        $two = ProductChoice::from([$mixed, self::product('b', 46.0, 0.0, 0.0, 1000.0)])->exact($need, $allowed);
        $one = ProductChoice::from([$mixed])->exact($need, $allowed);

        self::assertEqualsWithDelta([0.5, 1.0], [$two->excess->p2o5, $two->gives->n], 1e-9);
        self::assertTrue($two->isWithin);
        self::assertFalse($one->isWithin);
        self::assertEqualsWithDelta(25.0, $one->kilograms(), 1e-9, 'the need is met all the same');
    }

    /** Half a kilogram a scoop: 25 kg N at 46 % is 54.35 kg, 109 scoops. */
    public function testWholeSteps(): void
    {
        $dose = ProductChoice::from([self::product('a', 46.0, 0.0, 0.0, 100.0, step: 0.5)])->weighable(Nutrients::of(25.0, 0.0, 0.0));

        self::assertSame(54.5, $dose->kilograms());
    }

    /** On five square metres a quarter of a scoop too much is better than a barrow: the finest step that serves is what is gone over by. */
    public function testNoBarrowOnAShortPiece(): void
    {
        $shed = ProductChoice::from([self::product('compost', 0.2, 0.4, 0.7, 2.0, step: 50.0),
            self::product('feather', 12.0, 0.0, 0.0, 165.0, step: 0.4)]);
        $dose = $shed->weighable(Nutrients::of(0.055, 0.0, 0.0), Nutrients::of(0.002, 0.015, 0.03));

        self::assertSame([['feather', 0.5]],
            array_map(static fn (array $p): array => [$p['product']->key, round($p['kg'], 3)], $dose->parts));
    }

    /** 35 g N with 2 g to spare: a scoop of 400 g brings 48, three quarters 36. Asked for 23: a half brings 24. */
    #[TestWith([0.035, 0.3])]
    #[TestWith([0.023, 0.2])]
    #[TestWith([0.047, 0.4])]
    public function testHalvesAndQuartersOfAScoop(float $need, float $kg): void
    {
        $feather = ProductChoice::from([self::product('feather', 12.0, 0.0, 0.0, 165.0, step: 0.4)]);

        self::assertEqualsWithDelta($kg, $feather->weighable(Nutrients::of($need, 0.0, 0.0), Nutrients::of(0.002, 0.0, 0.0))->kilograms(),
            1e-9);
    }

    /** What is not there is to be bought, and said. */
    public function testStock(): void
    {
        $cheap = self::product('a', 10.0, 0.0, 0.0, 10.0, stock: 4.0);
        $dear = self::product('b', 10.0, 0.0, 0.0, 90.0, stock: 3.0);
        $kilos = static fn (Dose $d): array => array_map(static fn (array $p): array => [$p['product']->key, round($p['kg'], 6)],
            $d->parts);

        self::assertSame([['a', 4.0], ['b', 2.0]], $kilos(ProductChoice::from([$dear, $cheap])->exact(Nutrients::of(0.6, 0.0, 0.0))));
        $more = ProductChoice::from([$dear, $cheap])->exact(Nutrients::of(1.0, 0.0, 0.0));
        self::assertSame([[['a', 10.0]], false], [$kilos($more), $more->isThere]);
    }

    /** Compost gives 15 % of its nitrogen in its first year, manure 40 % (common practice, no source). */
    public function testOnlyWhatIsReleasedCounts(): void
    {
        $of = static fn (Release $release): float => round(ProductChoice::from([self::product('a', 2.0, 0.0, 0.0, 1.0,
            $release)])->exact(Nutrients::of(1.0, 0.0, 0.0))->kilograms(), 1);

        self::assertSame([50.0, 125.0, 333.3], [$of(Release::Soluble), $of(Release::Manure), $of(Release::Compost)]);
    }

    /**
     * One mix for beds whose needs differ: no bed short by more than a tenth of any nutrient, and the neediest nutrient of
     * each bed exactly so.
     */
    public function testNoBedOfABlockIsShortByMoreThanATenth(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $shed = [self::product('a', 12.0, 0.0, 0.0, 250.0), self::product('b', 0.0, 12.0, 0.0, 120.0),
            self::product('c', 0.0, 0.0, 30.0, 140.0), self::product('d', 4.0, 4.0, 2.0, 60.0)];
        $off = 0;
        for ($round = 0; $round < 30; ++$round) {
            $needs = [];
            for ($i = 0; $i < 8; ++$i) {
                $needs[] = new BedNeed('b'.$i, 'B'.$i, Area::fromSquareMetres(18.75), Nutrients::of($random->getInt(40, 160) / 10,
                    $random->getInt(0, 2) * $random->getInt(10, 40) / 10, $random->getInt(0, 2) * $random->getInt(20, 80) / 10));
            }
            $mixes = (new BlockMixes(ProductChoice::from($shed)))->of($needs);
            $beds = array_merge(...array_map(static fn (Mix $m): array => $m->beds, $mixes));
            self::assertCount(8, $beds);
            $off += \count(array_filter($beds, static fn (BedDose $b): bool => $b->short > 0.1 + 1e-9 || $b->short < 0.1 - 1e-9));
            foreach ($beds as $dose) {
                self::assertGreaterThanOrEqual(0.0, min($dose->excess->list()));
                $bed = $dose->bed->need;
                self::assertEqualsWithDelta($dose->gives->minus($bed)->atLeastNone()->list(), $dose->excess->list(), 1e-9);
            }
        }
        self::assertSame(0, $off);
    }

    /** 40 g of nitrogen: a cheap barrow of 50 kg is not fetched for it, 1.0 kg of pellets in scoops of 0.5 is mixed. */
    public function testAMixIsOfWholeScoops(): void
    {
        $shed = ProductChoice::from([self::product('barrow', 1.0, 0.0, 0.0, 4.0, step: 50.0),
            self::product('pellets', 4.0, 0.0, 0.0, 48.0, step: 0.5)]);
        $mixes = (new BlockMixes($shed))->of([new BedNeed('A1', 'A1', Area::fromSquareMetres(10.0), Nutrients::of(4.0, 0.0, 0.0))]);

        self::assertSame([['pellets', 1.0]], array_map(static fn (array $p): array => [$p['product']->key,
            $mixes[0]->kilograms($p['product'])],
            $mixes[0]->parts));
        self::assertEqualsWithDelta([0.9, 48.0], [$mixes[0]->beds[0]->kg, $mixes[0]->cents], 1e-9, 'a tenth short is borne');
    }

    public function testBedsAreJoinedWhileItSaves(): void
    {
        $shed = ProductChoice::from([self::product('a', 12.0, 0.0, 0.0, 250.0), self::product('b', 0.0, 0.0, 30.0, 140.0)]);
        $bed = static fn (string $name, float $n, float $k): BedNeed => new BedNeed($name, $name, Area::fromSquareMetres(20.0),
            Nutrients::of($n, 0.0, $k));
        $count = static fn (float $fee, BedNeed ...$beds): int => \count((new BlockMixes($shed, $fee))->of(array_values($beds)));

        self::assertSame(1, $count(300.0, $bed('A1', 10.0, 5.0), $bed('A2', 20.0, 10.0), $bed('A3', 5.0, 2.5)),
            'one proportion, three doses');
        self::assertSame(2, $count(0.0, $bed('A1', 10.0, 5.0), $bed('A2', 5.0, 30.0)), 'a mix costs nothing more');
        self::assertSame(1, $count(10_000.0, $bed('A1', 10.0, 5.0), $bed('A2', 5.0, 30.0)));
        self::assertSame(1, $count(10_000.0, $bed('A1', 10.0, 0.0), $bed('A2', 0.0, 10.0)));
    }

    private static function product(string $key, float $n, float $p, float $k, float $cents, Release $release = Release::Soluble,
        float $step = 0.05, ?float $stock = null): ShedProduct
    {
        return new ShedProduct($key, $key, Nutrients::of($n, $p, $k), $cents, $release, step: $step, stock: $stock);
    }
}
