<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Supply;

use JollyFurrow\Need\Need;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\Lot;
use PHPUnit\Framework\TestCase;

final class AllocationTest extends TestCase
{
    public function testWhatIsLostSoonestGoesFirst(): void
    {
        $lots = [new Lot('long', 10, 40, 5, 0.0), new Lot('short', 12, 14, 5, 0.0)];

        $allocation = Allocation::of([self::need(14, 5), self::need(30, 5)], $lots);

        self::assertSame([5, 5], $allocation->served);
        self::assertSame([['short' => 5], ['long' => 5]], $allocation->from);
    }

    public function testNothingBeforeReadyNothingBeyondKeeping(): void
    {
        $lots = [new Lot('once', 20, 25, 100, 0.0)];

        self::assertSame([0, 3, 3, 0], Allocation::of([self::need(19, 3), self::need(20, 3), self::need(28, 3), self::need(29, 3)],
            $lots)->served);
    }

    /** Ten per cent a week: of 100 stored for two weeks 81 are sound. */
    public function testWhatWaitsInStoreShrinks(): void
    {
        $lots = [new Lot('store', 0, 0, 100, 0.1)];

        self::assertSame([81], Allocation::of([new Need(14, 200, 90, ['o' => 90])], $lots)->served);
    }

    private static function need(int $day, int $units): Need
    {
        return new Need($day, 3, $units, ['o' => $units]);
    }
}
