<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Time;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against PHP's own calendar (DateTimeImmutable, ISO 8601 formats "o" and "W"). */
final class DayTest extends TestCase
{
    public function testEveryDayOfTwoCenturiesAgreesWithPhp(): void
    {
        for ($number = Day::fromDate(1970, 1, 1)->number - 25000; $number < 60000; $number += 3) {
            $php = (new \DateTimeImmutable('1970-01-01', new \DateTimeZone('UTC')))->modify($number.' days');
            $day = Day::of($number);
            self::assertSame($php->format('Y-m-d N z'), \sprintf('%s %d %d', $day->iso(), $day->weekday()->value, $day->dayOfYear() - 1));
            [$year, $month, $of] = array_map(intval(...), explode('-', $php->format('Y-n-j')));
            self::assertSame($number, Day::fromDate($year, $month, $of)->number);
            if ($year >= 1970) {
                self::assertSame($number, Day::parse($php->format('Y-m-d'))->number);
            }
        }
    }

    public function testEveryWeekAgreesWithPhp(): void
    {
        for ($day = Day::fromDate(2000, 1, 1); $day->year() < 2041; $day = $day->plus(1)) {
            self::assertSame((new \DateTimeImmutable($day->iso()))->format('o-\WW'), $day->week()->label());
            self::assertSame(1, $day->week()->monday()->weekday()->value);
        }
    }

    /** @return iterable<array{string, string}> */
    public static function edges(): iterable
    {
        yield ['2026-12-31', '2026-W53'];
        yield ['2027-01-03', '2026-W53'];
        yield ['2027-01-04', '2027-W01'];
        yield ['2024-12-30', '2025-W01'];
    }

    #[DataProvider('edges')]
    public function testWeekAtTheTurnOfTheYear(string $day, string $week): void
    {
        self::assertSame($week, Day::parse($day)->week()->label());
    }

    /** @return iterable<array{string, string}> */
    public static function badDays(): iterable
    {
        yield ['', 'not-a-date'];
        yield ['12.5.2026', 'not-a-date'];
        yield ['2026-02-30', 'not-in-calendar'];
        yield ['2026-13-01', 'not-in-calendar'];
        yield ["2026-05-01\x00<b>", 'not-a-date'];
    }

    #[DataProvider('badDays')]
    public function testBadDayIsToldWhatIsWrong(string $text, string $message): void
    {
        $this->expectException(InvalidDay::class);
        $this->expectExceptionMessage($message);
        Day::parse($text);
    }
}
