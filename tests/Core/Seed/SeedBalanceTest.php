<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Seed;

use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Seed\LotLeft;
use JollyFurrow\Seed\SeedBalance;
use JollyFurrow\Seed\SeedRate;
use JollyFurrow\Seed\SeedState;
use JollyFurrow\Seed\VarietySeed;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Us;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Seed wanted, in the drawer and to be ordered. */
final class SeedBalanceTest extends TestCase
{
    /** 15 a foot on a 50 ft bed of five rows: 750 of bed, 3,750 of row (common practice, no source). */
    public function testARateCanMeanBoth(): void
    {
        $rate = SeedRate::of(15.0, Us::feet(1), Us::feet(50), 5);

        self::assertEqualsWithDelta([750.0, 3750.0], [$rate->perBed, $rate->perRow], 1e-6);
    }

    /** Two sowings of five metres each: what one takes, twice, and a tenth more. */
    public function testWhatIsPlannedAndATenthMore(): void
    {
        $one = $this->radish([LittleGarden::radish('2026-05-04')]);
        $two = $this->radish([LittleGarden::radish('2026-05-04'), LittleGarden::radish('2026-06-01', 'A2')]);

        self::assertEqualsWithDelta(2 * $one->need, $two->need, 1e-9);
        self::assertSame(['2026-05', '2026-06'], array_keys($two->months));
        self::assertEqualsWithDelta($one->need / 1.1, $this->sown(), 1e-9);
        self::assertSame(0, $this->radish([LittleGarden::radish('2026-05-04')], [$this->lot(1000.0)])->packets);
    }

    /** What was sown since the lot was counted is gone from it, what was sown before is not. */
    public function testWhatIsSownIsTakenOffTheLot(): void
    {
        $sown = static fn (string $day): Planting => LittleGarden::radish($day, standing: Standing::Growing);
        $left = fn (string $day): float => $this->radish([$sown($day)], [$this->lot(100.0, counted: '2026-04-10')])->left();

        self::assertEqualsWithDelta(100.0, $left('2026-04-09'), 1e-9);
        self::assertEqualsWithDelta(100.0 - $this->sown(), $left('2026-04-10'), 1e-9);
    }

    public function testTheOldestLotIsUsedFirst(): void
    {
        $seed = $this->radish([LittleGarden::radish('2026-04-12', standing: Standing::Growing)], [$this->lot(50.0, year: 2025, key: 'new'),
            $this->lot(2.0, year: 2024, key: 'old')]);

        self::assertSame(['old', 'new'], array_map(static fn (LotLeft $l): string => $l->lot->key, $seed->lots));
        self::assertEqualsWithDelta([0.0, 52.0 - $this->sown()], array_map(static fn (LotLeft $l): float => $l->grams, $seed->lots), 1e-9);
    }

    /** Radish germinates to 0.92 in the book: half of that is the least,
     * a twentieth below it counts for as good. Cabbages keep four years. */
    #[TestWith([0.95, 2020, SeedState::Good, 1.0])]
    #[TestWith([0.46, 2025, SeedState::Thicker, 2.0])]
    #[TestWith([0.45, 2025, SeedState::ThrowOut, 1.0])]
    #[TestWith([null, 2022, SeedState::Good, 1.0])]
    #[TestWith([null, 2021, SeedState::Test, 1.0])]
    public function testOldSeedIsSownThickerOrThrownOut(?float $germination, int $year, SeedState $state, float $times): void
    {
        $crop = Book::crops()->get('radish');
        self::assertSame(0.92, $crop->stand->germination);
        $left = LotLeft::of($this->lot(10.0, $germination, $year), $crop, 0.0, 2026);

        self::assertSame($state, $left->state);
        self::assertEqualsWithDelta($times, $left->times, 1e-9);
        self::assertEqualsWithDelta(match ($state) {
            SeedState::Good => 10.0, SeedState::Thicker => 10.0 / $times, default => 0.0,
        }, $left->usable, 1e-9);
    }

    /** The order by hand: short by 83 g in packets of 25 g is four of them. */
    public function testPacketsAreRoundedUp(): void
    {
        $need = $this->radish([LittleGarden::radish('2026-05-04')])->need;
        $order = fn (float $have): VarietySeed => $this->radish([LittleGarden::radish('2026-05-04')], [$this->lot($have,
            packet: $need / 4)]);

        self::assertSame([4, 4, 1, 0], array_map(static fn (float $have): int => $order($have)->packets, [0.0, $need * 0.2,
            $need * 0.75 + 0.001,
            $need]));
        self::assertSame('Hollow Seeds', $order(0.0)->supplier);
    }

    /** Grams one sowing of five metres takes. */
    private function sown(): float
    {
        return $this->radish([LittleGarden::radish('2026-05-04')])->need / (1 + SeedBalance::RESERVE);
    }

    private function lot(float $grams, ?float $germination = null, int $year = 2025, string $counted = '2026-04-10', ?float $packet = null,
        string $key = 's1'): SeedLot
    {
        return new SeedLot($key, 'radish', $grams, Day::parse($counted), $year, $germination, 'Hollow Seeds', $packet, 300);
    }

    /**
     * @param list<Planting> $plantings
     * @param list<SeedLot>  $lots
     */
    private function radish(array $plantings, array $lots = []): VarietySeed
    {
        $garden = LittleGarden::on('2026-04-20', $plantings)->keeping(new Diary(seedLots: $lots));

        return SeedBalance::of($garden, Book::crops())[0] ?? self::fail('No radish.');
    }
}
