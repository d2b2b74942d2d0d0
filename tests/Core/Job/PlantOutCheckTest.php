<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Job;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Job\PlantOut;
use JollyFurrow\Job\PlantOutCheck;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Ready, wait, now or never: lettuce sown 1 April, planned to go out on the 29th. */
final class PlantOutCheckTest extends TestCase
{
    public function testReadyWhenLargeTheSoilWarmAndNoHardFrost(): void
    {
        self::assertSame([PlantOut::Ready, ['water-in']], $this->on('2026-05-04'));
        self::assertSame([PlantOut::Ready, ['rain-comes']], $this->on('2026-05-04', rain: 5.0));
    }

    public function testItWaitsForSizeAndForTheNight(): void
    {
        self::assertSame(PlantOut::Wait, $this->on('2026-04-12')[0]);
        self::assertContains('small', $this->on('2026-04-12')[1]);
        [$is, $says] = $this->on('2026-05-04', low: -9.0);
        self::assertSame([PlantOut::Wait, 'frost'], [$is, $says[0]]);
        self::assertSame(PlantOut::Ready, $this->on('2026-05-04', low: -3.0)[0], 'soft lettuce bears some frost');
    }

    public function testHeatIsSaid(): void
    {
        self::assertContains('hot', $this->on('2026-05-04', high: 32.0)[1]);
        self::assertNotContains('hot', $this->on('2026-05-04', high: 31.9)[1]);
    }

    /** Its cell holds it a time and a half as long as planned, 42 days: until 13 May; the last two days are said. */
    public function testNowOrNever(): void
    {
        self::assertSame(PlantOut::Ready, $this->on('2026-05-10')[0]);
        self::assertSame(PlantOut::NowOrNever, $this->on('2026-05-11')[0]);
        self::assertSame(PlantOut::NowOrNever, $this->on('2026-05-11', low: -9.0)[0]);
    }

    /** @return array{PlantOut, list<string>} */
    private function on(string $day, float $low = 8.0, float $high = 18.0, float $rain = 0.0): array
    {
        $today = Day::parse($day);
        $garden = LittleGarden::timed($day, [LittleGarden::lettuce('2026-04-01', standing: Standing::InNursery)]);
        $outlook = array_map(static fn (int $n): array => [$today->number + $n, $low, $high, $rain / 2], range(0, 6));
        $check = PlantOutCheck::of(Work::site($garden, new SoilDays(DailyRecord::fromRows([]), DailyRecord::fromRows($outlook))),
            $garden->plantings->all()[0], $today);

        return [$check->is, array_map(static fn (Message $m): string => (string) $m->code->value, $check->reasons)];
    }
}
