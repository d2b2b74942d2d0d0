<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Practice;

use JollyFurrow\Planting\Happening;
use JollyFurrow\Practice\Slip;
use PHPUnit\Framework\TestCase;

/** A little human failure: our own model, held to what it says of itself. */
final class SlipTest extends TestCase
{
    public function testFourJobsInFiveAreDoneInTimeAndFewAreForgotten(): void
    {
        $days = [];
        for ($n = 0; $n < 5000; ++$n) {
            $late = Slip::of(47, 'lettuce@2026-03-02#'.$n, Happening::Sown)->days;
            $days[$late ?? 'never'] = ($days[$late ?? 'never'] ?? 0) + 1;
        }

        self::assertEqualsWithDelta(0.80, $days[0] / 5000, 0.02);
        self::assertEqualsWithDelta(0.10, $days[1] / 5000, 0.02);
        self::assertEqualsWithDelta(0.006, $days['never'] / 5000, 0.004);
        self::assertSame([], array_diff(array_keys($days), [0, 1, 2, 4, 7, 'never']));
    }

    public function testWhatStandsIsPickedAndClearedInTheEnd(): void
    {
        foreach ([Happening::Picked, Happening::Finished] as $what) {
            $late = array_map(static fn (int $n): ?int => Slip::of(1, 'leek#'.$n, $what)->days, range(0, 2000));

            self::assertNotContains(null, $late);
            self::assertSame(7, max($late));
        }
    }

    public function testTheSeedTellsWhereItFails(): void
    {
        $of = static fn (int $seed): array => array_map(static fn (int $n): ?int => Slip::of($seed, 'beet#'.$n, Happening::Planted)->days,
            range(0, 200));

        self::assertSame($of(3), $of(3));
        self::assertNotSame($of(3), $of(4));
    }
}
