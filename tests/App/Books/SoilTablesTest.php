<?php

declare(strict_types=1);

namespace App\Tests\Books;

use App\Books\SoilTables;
use App\Codec\UnusableFile;
use App\Tests\Support\AppCase;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Irrigation\DayWater;
use JollyFurrow\Irrigation\WaterBalance;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\CarePoint;
use PHPUnit\Framework\Attributes\TestWith;

/** The tables of needs and of water that ship. */
final class SoilTablesTest extends AppCase
{
    /**
     * AHDB Nutrient Management Guide (RB209), section 6, row by row, from memory: nitrogen on the poorest ground, phosphate and
     * potash at index 0 to 4, kg a hectare (potash at 2 of the lower half).
     *
     * @param list<int> $p2o5
     * @param list<int> $k2o
     */
    #[TestWith(['brussels-sprouts', 330, [200, 150, 100, 50, 0], [300, 250, 200, 60, 0]])]
    #[TestWith(['cabbage-storage', 340, [200, 150, 100, 50, 0], [300, 250, 200, 60, 0]])]
    #[TestWith(['cauliflower', 290, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['broccoli', 235, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['lettuce-head', 200, [250, 200, 150, 100, 0], [250, 200, 150, 0, 0]])]
    #[TestWith(['arugula', 125, [250, 200, 150, 100, 0], [250, 200, 150, 0, 0]])]
    #[TestWith(['onion', 160, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['scallion', 130, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['leek', 200, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['beet', 290, [200, 150, 100, 50, 0], [300, 250, 200, 60, 0]])]
    #[TestWith(['rutabaga', 135, [200, 150, 100, 50, 0], [300, 250, 200, 60, 0]])]
    #[TestWith(['parsnip', 170, [200, 150, 100, 50, 0], [300, 250, 200, 60, 0]])]
    #[TestWith(['carrot', 100, [200, 150, 100, 50, 0], [275, 225, 175, 35, 0]])]
    #[TestWith(['radish', 100, [175, 125, 75, 25, 0], [250, 200, 150, 0, 0]])]
    #[TestWith(['corn', 220, [175, 125, 75, 25, 0], [250, 200, 150, 0, 0]])]
    #[TestWith(['pea', 0, [185, 135, 85, 35, 0], [190, 140, 90, 0, 0]])]
    #[TestWith(['bean-broad', 0, [200, 150, 100, 50, 0], [200, 150, 100, 0, 0]])]
    public function testNeedsRowByRow(string $crop, int $n, array $p2o5, array $k2o): void
    {
        $row = (new SoilTables(__DIR__.'/../../../data'))->needs()->of($this->book()->get($crop));
        $at = array_map(static fn (SoilLevel $level): array => $row->at($level, $level)->list(), SoilLevel::cases());

        self::assertEquals(array_fill(0, 5, $n), array_column($at, 0));
        self::assertEquals($p2o5, array_column($at, 1));
        self::assertEquals($k2o, array_column($at, 2));
    }

    /** Richer soil never wants more; every crop has a row for food and water, and its nitrogen is parted whole. */
    public function testEveryCropIsFedAndWatered(): void
    {
        $tables = new SoilTables(__DIR__.'/../../../data');
        foreach ($tables->needs()->rows as $row) {
            foreach ([$row->n, $row->p2o5, $row->k2o] as $levels) {
                $falling = $levels;
                rsort($falling);
                self::assertSame($falling, $levels, $row->key);
            }
        }
        foreach ($this->book()->all() as $crop) {
            self::assertGreaterThan(0.0, $tables->water()->of($crop)->full, $crop->key);
            self::assertGreaterThanOrEqual(0.0, $tables->needs()->of($crop)->n[0], $crop->key);
            self::assertNotSame([], $tables->calendar()->parts($crop), $crop->key);
        }
    }

    /** Corn at planting, knee high and before its tassel, potatoes 40, 30, 30 %: by stage, in that order (common practice). */
    public function testCornAndPotatoesByStage(): void
    {
        $parts = fn (string $crop): array => array_map(static fn ($p): float => $p->part,
            (new SoilTables(__DIR__.'/../../../data'))->calendar()
            ->parts($this->book()->get($crop)));

        self::assertSame([[0.34, 0.33, 0.33], [0.4, 0.3, 0.3]], [$parts('corn'), $parts('potato-storage')]);
    }

    /** Cut for months: after every second cut, as practice has it. */
    public function testLeavesAreFedAfterEverySecondCut(): void
    {
        $part = (new SoilTables(__DIR__.'/../../../data'))->calendar()->parts($this->book()->get('leaf-beet'))[1];
        $cuts = array_map(Day::parse(...), ['2026-06-01', '2026-06-15', '2026-06-29', '2026-07-13']);

        self::assertSame([CarePoint::Cut, ['2026-06-15', '2026-07-13']], [$part->from, array_map(static fn (Day $d): string => $d->iso(),
            $part->those($cuts))]);
    }

    /**
     * A season's water of crops in a sunny, warm climate (39° N from 20 April), mm: Brouwer and Heibloem 1986, FAO Irrigation
     * Water Management Training Manual 3, table 14 (from memory): tomato 400 to 800, potato 500 to 700, maize 500 to 800, bean 300
     * to 500, pea 350 to 500. Cabbage (350 to 500) and onion (350 to 550) come out a fifth to a third above it here, in full summer.
     */
    #[TestWith(['tomato', 150, 400, 800])]
    #[TestWith(['potato-storage', 125, 500, 700])]
    #[TestWith(['corn', 110, 500, 800])]
    #[TestWith(['bean-bush', 80, 300, 500])]
    #[TestWith(['pea', 95, 350, 500])]
    public function testTheWaterOfASeason(string $item, int $days, int $least, int $most): void
    {
        $garden = LittleGarden::at('39N', '2026-03-02');
        $start = Day::parse('2026-04-20');
        $planting = new Planting($item.'@2026-04-20#1', $item, Method::Sown, PlaceType::Field, 'compost-mulch', $start, $start, $start,
            $start->plus((int) (0.8 * $days)), $start->plus($days), 1.0, [Stretch::of('A1', 0, 1_000_000)], Standing::Growing, false);
        $water = (new SoilTables(__DIR__.'/../../../data'))->water()->of($this->book()->get($item));
        $uses = array_sum(array_map(static fn (DayWater $d): float => $d->uses, (new WaterBalance($garden,
            DailyRecord::fromRows([])))->of($planting,
                $water, $garden->soil->soilOf($garden->beds[0], $garden->today), Mulch::None)));

        self::assertGreaterThanOrEqual($least, $uses);
        self::assertLessThanOrEqual($most, $uses);
    }

    public function testAWrongTableIsNamed(): void
    {
        $folder = sys_get_temp_dir().'/tables-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents($folder.'/needs.csv', "key,name,crops,n,p2o5,k2o,source,note\nx,X,,1 2,1 2 3 4 5,1 2 3 4 5,memory,none\n");
        try {
            (new SoilTables($folder))->needs();
            self::fail('It was read.');
        } catch (UnusableFile $wrong) {
            self::assertStringContainsString('must be 7 numbers', $wrong->getMessage());
        } finally {
            unlink($folder.'/needs.csv');
            rmdir($folder);
        }
    }

    private function book(): CropBook
    {
        return $this->service(CropBook::class);
    }
}
