<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Bench;

use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Bench\BenchWeek;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Nursery\TrayCount;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\TrayRoom;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\TestCase;

/** Trays counted by hand against the load of the bench. */
final class BenchLoadTest extends TestCase
{
    /** 480 beet clusters at a tenth lost are 534 blocks, sixteen trays of 35 (common practice, no source). */
    public function testTraysOfBeet(): void
    {
        $cells = (int) ceil(480 / (1 - 0.10) - 1e-9);

        self::assertSame([534, 16], [$cells, (int) ceil($cells / 35)]);
        $spacing = Spacing::of(6, Us::inches(7.5), Us::feet(50));
        $beet = Book::crops()->get('beet');
        self::assertSame(ceil(480 / (1 - $beet->stand->trayLoss) - 1e-9), SeedNeed::of($beet, Method::Transplanted,
            $spacing)->cells?->value);
    }

    /** Lettuce sown Wed 1 April and out on the 29th: on the bench from its week until the 22nd, hardened after. */
    public function testWhereTraysStandEachWeek(): void
    {
        $garden = LittleGarden::timed('2026-03-23', [LittleGarden::lettuce('2026-04-01'), LittleGarden::lettuce('2026-04-15', 'A3')]);
        $trays = Trays::of(Book::crops()->get('lettuce-head'), LittleGarden::lettuce('2026-04-01'), $garden->bedsByName())->trays;
        $weeks = array_map(static fn (BenchWeek $w): array => [$w->monday->iso(), $w->onMat, $w->onBench / $trays, $w->hardening / $trays],
            BenchLoad::of($garden, Book::crops(), 8)->weeks);

        self::assertSame([['2026-03-23', 0.0, 0.0, 0.0], ['2026-03-30', 0.0, 1.0, 0.0], ['2026-04-06', 0.0, 1.0, 0.0],
            ['2026-04-13', 0.0, 2.0, 0.0], ['2026-04-20', 0.0, 2.0, 1.0], ['2026-04-27', 0.0, 1.0, 1.0], ['2026-05-04', 0.0, 1.0, 1.0],
            ['2026-05-11', 0.0, 0.0, 1.0]], $weeks);
    }

    /** Out on a Monday: hardened from the Monday before, and not a day sooner. */
    public function testHardenedTheLastWeek(): void
    {
        $weeks = BenchLoad::of(LittleGarden::timed('2026-03-23', [LittleGarden::lettuce('2026-03-30')]), Book::crops(), 6)->weeks;

        $hardens = array_map(static fn (BenchWeek $w): bool => $w->hardening > 0.0, $weeks);

        self::assertSame([false, false, false, false, true, false], $hardens);
    }

    public function testTheWeekItIsFull(): void
    {
        $garden = LittleGarden::timed('2026-03-23', [LittleGarden::lettuce('2026-04-01'), LittleGarden::lettuce('2026-04-15', 'A3')]);
        $trays = Trays::of(Book::crops()->get('lettuce-head'), LittleGarden::lettuce('2026-04-01'), $garden->bedsByName())->trays;
        $full = static function (int $room) use ($garden): ?BenchWeek {
            $rules = new PlanRules(benches: new Benches(room: new TrayRoom($room)));

            return BenchLoad::of($garden->set($garden->settings->ruledBy($rules)), Book::crops(), 8)->full();
        };

        self::assertNull($full(0), 'nobody said');
        self::assertNull($full((int) (2 * $trays)));
        self::assertSame(['2026-04-13', 1.0], [$full((int) (2 * $trays) - 1)?->monday->iso(), $full((int) (2 * $trays) - 1)?->over]);
    }

    public function testWhatACountMeans(): void
    {
        $spacing = Spacing::of(3, Us::inches(12), Us::feet(30));
        $short = TrayCount::of($spacing, 72.0);

        self::assertSame([90.0, 18.0, 0.8], [$short->wanted, $short->missing(), $short->share]);
        self::assertSame([0.0, 1.0], [TrayCount::of($spacing, 95.0)->missing(), TrayCount::of($spacing, 95.0)->share]);
    }
}
