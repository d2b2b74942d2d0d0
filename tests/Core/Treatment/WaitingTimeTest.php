<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Treatment;

use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;
use JollyFurrow\Treatment\WaitingTime;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WaitingTimeTest extends TestCase
{
    /** Common practice: ten days' wait, sprayed the evening of a cut; cut every ten days none is lost, every seven one. */
    #[TestWith([10, 0])]
    #[TestWith([7, 1])]
    #[TestWith([5, 1])]
    #[TestWith([3, 3])]
    public function testPickingsLost(int $every, int $lost): void
    {
        $day = Day::parse('2026-07-01');

        self::assertCount($lost, WaitingTime::lost($day, 10, range($day->number, $day->number + 60, $every)));
    }

    /** Picked on the 2nd, 9th and 16th: with a wait of seven days the evening of the 2nd loses none. */
    public function testTheBestDay(): void
    {
        $first = Day::parse('2026-07-01');
        $pickings = [$first->number + 1, $first->number + 8, $first->number + 15];

        self::assertSame('2026-07-02', WaitingTime::best($first, 7, 7, $pickings)->iso());
    }

    public function testUntilWhenABedIsKeptOff(): void
    {
        $spray = static fn (string $day, int $wait, string $bed): Spray => new Spray($day, Day::parse($day), [$bed],
            'As on the label', $wait, 2);
        $book = new SprayBook([$spray('2026-07-01', 14, 'A1'), $spray('2026-07-05', 3, 'A1'), $spray('2026-07-05', 3, 'A2')]);
        $on = static fn (string $bed, string $day): ?string => $book->keepsOff($bed, Day::parse($day))?->harvestFrom()->iso();

        self::assertSame(['2026-07-15', '2026-07-15', null, '2026-07-08', null, null], [$on('A1', '2026-07-06'), $on('A1', '2026-07-14'),
            $on('A1', '2026-07-15'), $on('A2', '2026-07-07'), $on('A2', '2026-07-04'), $on('A3', '2026-07-06')]);
        self::assertSame([true, false], [null !== $book->keepsOut('A2', Day::parse('2026-07-06')), null !== $book->keepsOut('A2',
            Day::parse('2026-07-07'))]);
        self::assertSame('2026-07-05', $book->lastOn('A1', Day::parse('2026-07-20'))?->day->iso());
    }
}
