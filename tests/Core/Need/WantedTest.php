<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Need;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\Claim;
use JollyFurrow\Market\ClaimKind;
use JollyFurrow\Market\Claims;
use JollyFurrow\Need\Needs;
use JollyFurrow\Need\Wanted;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\OrderKind;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Thirty radishes are promised to the stall on Saturday the 11th, thirty on the 18th; it is Wednesday the 8th. */
final class WantedTest extends TestCase
{
    public function testAnOrderCountsWhereItIsMore(): void
    {
        self::assertSame(['2026-04-11' => 30.0, '2026-04-18' => 30.0], self::told(self::garden([self::order(12.0)])));
        self::assertSame(['2026-04-11' => 44.0, '2026-04-18' => 30.0], self::told(self::garden([self::order(44.0)])));
        self::assertSame(['2026-04-11' => 44.0, '2026-04-18' => 32.0], self::told(self::garden([self::order(12.0),
            self::standing(32.0, '2026-04-11')])), 'both together');
    }

    /** Orders close two days before: on the 9th they still may change, on the 10th only what was ordered is wanted. */
    public function testOnceClosedOnlyWhatWasOrdered(): void
    {
        $on = static fn (string $day): float => self::told(self::garden([self::order(12.0)], $day, 2))['2026-04-11'];

        self::assertSame([30.0, 30.0, 12.0, 12.0], array_map($on, ['2026-04-08', '2026-04-09', '2026-04-10', '2026-04-11']));
        self::assertSame(30.0, $on('2026-04-12'), 'gone by');
        self::assertSame(30.0, self::told(self::garden([], '2026-04-10', 2))['2026-04-11'], 'nobody ordered: the promise stands');
    }

    /** At six in the evening of the last day they close. */
    public function testTheHourTheyClose(): void
    {
        $terms = new Terms('stall', 1, 18);
        $closed = static fn (int $hour): bool => $terms->isClosed(Day::parse('2026-04-11'), Day::parse('2026-04-10'), $hour);

        self::assertSame([false, false, true], [$closed(0), $closed(17), $closed(18)]);
        self::assertFalse((new Terms('stall'))->isClosed(Day::parse('2026-04-11'), Day::parse('2026-04-11'), 23), 'taken and seen');
    }

    /** A standing order is for every market day to its last, and none before its first. */
    public function testAStandingOrder(): void
    {
        self::assertSame(['2026-04-11' => 30.0, '2026-04-18' => 40.0, '2026-04-25' => 40.0], self::told(self::garden([
            self::standing(40.0, '2026-04-12', '2026-04-25')])));
    }

    /** Firm before standing before promised, with the packing loss on each. */
    public function testWhoMayClaimIt(): void
    {
        $garden = self::garden([self::order(12.0), self::standing(10.0, '2026-04-11')]);
        $need = Needs::of($garden, Book::crops())->for('radish')[0];
        $claims = (new Claims($garden))->of('radish', $need);

        self::assertSame([[ClaimKind::Firm, 13], [ClaimKind::Standing, 11], [ClaimKind::Promise, 8]], array_map(
            static fn (Claim $c): array => [$c->kind, $c->units], $claims));
        self::assertSame(32, $need->units);
    }

    /** @param list<Order> $orders */
    private static function garden(array $orders, string $today = '2026-04-08', ?int $closes = null): Garden
    {
        return LittleGarden::on($today, [], ['2026-04-11' => 30, '2026-04-18' => 30])->selling(new MarketBook($orders,
            [new Terms('stall', $closes)]));
    }

    private static function order(float $quantity): Order
    {
        return new Order('a', 'stall', 'radish', Day::parse('2026-04-11'), $quantity);
    }

    private static function standing(float $quantity, string $from, ?string $until = '2026-04-18'): Order
    {
        return new Order('s', 'stall', 'radish', Day::parse($from), $quantity, OrderKind::Standing, null === $until ? null
            : Day::parse($until));
    }

    /** @return array<string, float> */
    private static function told(Garden $garden): array
    {
        $told = [];
        foreach (Wanted::all($garden) as $one) {
            $told[$one->day->iso()] = $one->quantity;
        }
        ksort($told);

        return $told;
    }
}
