<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Market;

use JollyFurrow\Market\Claim;
use JollyFurrow\Market\ClaimKind;
use JollyFurrow\Market\Sharing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class SharingTest extends TestCase
{
    /**
     * Seats by largest remainder (Hare, Niemeyer), from memory: the textbook example of 100,000 votes, and the one in which a seat
     * more takes one from the smallest (the Alabama paradox).
     *
     * @return iterable<string, array{int, list<int>, list<int>}>
     */
    public static function seats(): iterable
    {
        yield 'ten seats' => [10, [47_000, 16_000, 15_800, 12_000, 6_100, 3_100], [5, 2, 1, 1, 1, 0]];
        yield 'six, six and two: ten' => [10, [6, 6, 2], [4, 4, 2]];
        yield 'six, six and two: eleven' => [11, [6, 6, 2], [5, 5, 1]];
    }

    /**
     * @param list<int> $votes
     * @param list<int> $seats
     */
    #[DataProvider('seats')]
    public function testLargestRemainder(int $supply, array $votes, array $seats): void
    {
        $claims = array_map(static fn (int $n, int $units): Claim => new Claim('o'.$n, $units), array_keys($votes), $votes);

        self::assertSame($seats, array_values(Sharing::of($supply, $claims)->given));
    }

    public function testOrdersBeforePromisesAndTheFirstOutletFirst(): void
    {
        $shared = Sharing::of(25, [new Claim('stall', 20, priority: 1), new Claim('kitchen', 12, ClaimKind::Firm, 2),
            new Claim('shop', 9, priority: 2), new Claim('wholesale', 9, priority: 2)]);

        self::assertSame(['kitchen' => 12, 'stall' => 13, 'shop' => 0, 'wholesale' => 0], $shared->given);
    }

    /** Boxes of five: two get one each, and the five that are left fit nobody's need twice. */
    public function testWholeSaleUnits(): void
    {
        $shared = Sharing::of(14, [new Claim('a', 10, whole: 5), new Claim('b', 10, whole: 5), new Claim('c', 4)]);

        self::assertSame(['a' => 5, 'b' => 5, 'c' => 3], $shared->given);
    }

    /** One bunch for two, week after week: they take turns, where without memory the first by name would always have it. */
    public function testTheyTakeTurns(): void
    {
        $carry = [];
        $all = [];
        for ($week = 0; $week < 6; ++$week) {
            $shared = Sharing::of(1, [new Claim('a', 3), new Claim('b', 3)], $carry);
            [$carry, $all[]] = [$shared->carry, $shared->given['a']];
        }

        self::assertSame([1, 0, 1, 0, 1, 0], $all);
    }

    /**
     * Over random seasons: all that is there is given as far as anybody wants it, nobody has more than he wants, nobody later
     * gets any while an earlier one is short, and after thirty weeks nobody is a whole unit off his share.
     */
    public function testSeasonsByChance(): void
    {
        $chance = new Randomizer(new Mt19937(20));
        for ($season = 0; $season < 40; ++$season) {
            $carry = [];
            for ($week = 0; $week < 30; ++$week) {
                $claims = array_map(static fn (int $n): Claim => new Claim('o'.$n, $chance->getInt(0, 40), ClaimKind::from(
                    0 === $n ? 0 : 2), 1 + intdiv($n, 3)), range(0, 6));
                $supply = $chance->getInt(0, 160);
                $shared = Sharing::of($supply, $claims, $carry);
                $carry = $shared->carry;
                $wanted = array_sum(array_map(static fn (Claim $c): int => $c->units, $claims));
                self::assertSame(min($supply, $wanted), array_sum($shared->given));
                $isShort = null;
                foreach ($claims as $claim) {
                    $tier = [$claim->kind->value, $claim->priority];
                    self::assertLessThanOrEqual($claim->units, $shared->given[$claim->outlet]);
                    self::assertTrue(null === $isShort || $tier <= $isShort || 0 === $shared->given[$claim->outlet]);
                    $isShort = $shared->given[$claim->outlet] < $claim->units ? $isShort ?? $tier : $isShort;
                }
            }
            self::assertLessThan(1.0, max([0.0, ...array_values(array_map(abs(...), $carry))]));
        }
    }
}
