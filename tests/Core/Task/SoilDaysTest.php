<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Task;

use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\WeedSize;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Own models, to the day: when soil opens after rain, what missed weeds take (tools: common practice, no source). */
final class SoilDaysTest extends TestCase
{
    /** One day to dry for each ten millimetres begun, four at the most; a shower keeps people in only while it falls. */
    #[TestWith([1.9, '2026-07-20'])]
    #[TestWith([2.0, '2026-07-21'])]
    #[TestWith([3.9, '2026-07-21'])]
    #[TestWith([4.0, '2026-07-22'])]
    #[TestWith([10.0, '2026-07-22'])]
    #[TestWith([10.1, '2026-07-23'])]
    #[TestWith([60.0, '2026-07-25'])]
    public function testSoilOpens(float $mm, string $on): void
    {
        self::assertSame($on, Work::rain(['2026-07-20' => $mm])->opens(Day::parse('2026-07-20'))->iso());
    }

    public function testWhatWasMeasuredCountsBeforeWhatWasForetold(): void
    {
        $weather = Work::rain(['2026-07-19' => 20.0, '2026-07-21' => 6.0], Day::parse('2026-07-20'));

        self::assertSame([20.0, 0.0, 6.0], array_map(static fn (string $d): float => $weather->rain(Day::parse($d)), ['2026-07-19',
            '2026-07-20', '2026-07-21']));
        self::assertFalse($weather->isOpen(Day::parse('2026-07-20')));
    }

    #[TestWith([0, 'thread', 1.0, 'wire hoe'])]
    #[TestWith([4, 'thread', 1.0, 'wire hoe'])]
    #[TestWith([5, 'small', 1.3, 'hoe'])]
    #[TestWith([10, 'grown', 2.0, 'hoe'])]
    #[TestWith([20, 'large', 3.5, 'fork'])]
    public function testAMissedPassComesBackWithWhatItTakes(int $days, string $size, float $hours, string $tool): void
    {
        $weeds = WeedSize::after($days);

        self::assertSame([$size, $hours, $tool], [$weeds->value, $weeds->hours(), $weeds->tool('wire hoe')]);
    }
}
