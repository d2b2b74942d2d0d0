<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\NextPromise;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** A Saturday stall in the winter before the season, and the radishes it sold in May and June. */
final class NextPromiseTest extends TestCase
{
    /** Enough on two days of three: of 20, 24 and 30 sold that is 24; nothing is promised, which weighs as four days of nothing. */
    public function testFromWhatSold(): void
    {
        $rows = NextPromise::all(self::garden(['2025-05-03' => [26, 6], '2025-05-10' => [26, 2], '2025-05-17' => [40, 10]]));

        self::assertCount(1, $rows);
        self::assertSame(['stall/radish/2026-05-02', 5, 20, 30, 3, 0, 18], [$rows[0]->key(), \count($rows[0]->days), $rows[0]->least,
            $rows[0]->most, $rows[0]->seen, $rows[0]->soldOut, $rows[0]->back]);
        self::assertSame((int) ceil(3 * 24 / 7), $rows[0]->proposed);
        self::assertFalse($rows[0]->isAsBefore());
    }

    /** Where it was promised: twenty each, and it sold out every time, at ten at the earliest. More than ever sold is proposed. */
    public function testWhatSoldOutIsAtLeast(): void
    {
        $days = ['2025-06-07' => [20, 0, '11:15'], '2025-06-14' => [20, 0, '10:00'], '2025-06-21' => [20, 0, null]];
        $rows = NextPromise::all(self::garden($days, array_fill_keys(array_keys($days), 20)));

        self::assertSame([20.0 * 3 / 4, 3, ['10:00', '11:15']], [$rows[0]->promised, $rows[0]->soldOut, $rows[0]->outAt],
            'of four Saturdays');
        self::assertSame((int) ceil((3 * 1.15 * 20 + 4 * 15 * (1 + 0.3 * 0.4307)) / 7), $rows[0]->proposed, 'z of two thirds is 0.4307');
    }

    /** In January the running month is left out, and the next January is whole. */
    public function testTheSameMonthOfTheNextYear(): void
    {
        $rows = NextPromise::all(self::garden(['2025-01-04' => [26, 6], '2025-01-11' => [26, 2], '2025-01-18' => [40, 10]]));

        self::assertSame([['stall/radish/2027-01-02', 5]], array_map(static fn (NextPromise $n): array => [$n->key(), \count($n->days)],
            $rows));
    }

    public function testTwoDaysAreTooFew(): void
    {
        self::assertSame([], NextPromise::all(self::garden(['2025-05-03' => [26, 6], '2025-05-10' => [26, 2]])));
    }

    /** A tenth more or less is as before. */
    public function testAsBefore(): void
    {
        $days = ['2025-05-03' => [26, 2], '2025-05-10' => [26, 2], '2025-05-17' => [26, 2], '2025-05-24' => [26, 2], '2025-05-31' => [26,
            2]];
        $promises = array_fill_keys(['2026-05-02', '2026-05-09', '2026-05-16', '2026-05-23', '2026-05-30'], 23);
        $rows = NextPromise::all(self::garden($days, $promises));

        self::assertSame([23.0, true], [$rows[0]->promised, $rows[0]->isAsBefore()]);
    }

    /**
     * @param array<string, array{0: int, 1: int, 2?: string|null}> $sold     taken, brought back, sold out at
     * @param array<string, int>                                    $promises
     */
    private static function garden(array $sold, array $promises = []): Garden
    {
        $days = array_map(static fn (string $day, array $s): MarketDay => new MarketDay('stall', Day::parse($day), [new Sold('radish',
            $s[0],
            $s[1], outAt: $s[2] ?? null)]), array_keys($sold), $sold);

        return LittleGarden::on('2026-01-14', [], $promises)->selling(new MarketBook(days: $days));
    }
}
