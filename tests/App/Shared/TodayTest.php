<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Shared\Today;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;

/** What day it is depends on where the garden lies; an instant does not. */
final class TodayTest extends TestCase
{
    #[TestWith(['', '2026-07-21'])]
    #[TestWith(['Europe/Vienna', '2026-07-22'])]
    #[TestWith(['America/Denver', '2026-07-21'])]
    #[TestWith(['Pacific/Kiritimati', '2026-07-22'])]
    public function testTheDayIsThatOfTheGardensTimeZone(string $zone, string $day): void
    {
        self::assertSame($day, (new Today(new MockClock('2026-07-21 22:30:00 UTC'), ''))->day($zone)->iso());
    }

    public function testAPinnedDayPinsNoInstant(): void
    {
        $today = new Today(new MockClock('2026-11-28 12:00:00 UTC'), '2026-03-02');

        self::assertSame('2026-03-02', $today->day('Europe/Vienna')->iso());
        self::assertSame('2026-11-28', $today->now()->format('Y-m-d'));
    }
}
