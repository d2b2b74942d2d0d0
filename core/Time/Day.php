<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Message\Sayable;

/**
 * A civil date as a day number: days since 1970-01-01, no time zone, no clock.
 *
 * Proleptic Gregorian calendar between 1900 and 2199; fewer years may be typed, so that reckoning has room.
 * Conversion after Howard Hinnant, "chrono-Compatible Low-Level Date Algorithms" (days_from_civil, civil_from_days).
 */
final readonly class Day implements Sayable
{
    private const FIRST = -25567;
    private const LAST = 84005;

    private function __construct(public int $number)
    {
        if ($number < self::FIRST || $number > self::LAST) {
            throw InvalidDay::outOfRange();
        }
    }

    public static function of(int $number): self
    {
        return new self($number);
    }

    public static function fromDate(int $year, int $month, int $day): self
    {
        if (!checkdate($month, $day, $year)) {
            throw InvalidDay::notInCalendar(\sprintf('%04d-%02d-%02d', $year, $month, $day));
        }

        return new self(self::daysFromCivil($year, $month, $day));
    }

    /** Of a number that came from outside: in an address, a field or a file. */
    public static function typed(int $number): self
    {
        return $number >= self::daysFromCivil(Limits::FIRST_YEAR, 1, 1) && $number <= self::daysFromCivil(Limits::LAST_YEAR, 12, 31)
            ? new self($number) : throw InvalidDay::outOfRange();
    }

    /** Reads "2026-05-20", of the years that may be typed. */
    public static function parse(string $text): self
    {
        if (1 !== preg_match('/^\s*(\d{4})-(\d{1,2})-(\d{1,2})\s*$/', $text, $m)) {
            throw InvalidDay::notADate($text);
        }
        if (!checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw InvalidDay::notInCalendar($text);
        }
        if ((int) $m[1] < Limits::FIRST_YEAR || (int) $m[1] > Limits::LAST_YEAR) {
            throw InvalidDay::outOfRange();
        }

        return self::fromDate((int) $m[1], (int) $m[2], (int) $m[3]);
    }

    public function plus(int $days): self
    {
        return new self($this->number + $days);
    }

    /** The same day of another year; 29 February is the 28th where there is none. */
    public function inYear(int $year): self
    {
        $isThere = checkdate($this->month(), $this->dayOfMonth(), $year);

        return self::fromDate($year, $this->month(), $isThere ? $this->dayOfMonth() : 28);
    }

    /** Days from the other day to this one; negative when the other is later. */
    public function since(self $other): int
    {
        return $this->number - $other->number;
    }

    public function isBefore(self $other): bool
    {
        return $this->number < $other->number;
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    public function weekday(): Weekday
    {
        return Weekday::from((($this->number + 3) % 7 + 7) % 7 + 1);
    }

    public function week(): Week
    {
        return Week::containing($this);
    }

    public function iso(): string
    {
        [$year, $month, $day] = $this->civil();

        return \sprintf('%04d-%02d-%02d', $year, $month, $day);
    }

    public function year(): int
    {
        return $this->civil()[0];
    }

    public function month(): int
    {
        return $this->civil()[1];
    }

    public function dayOfMonth(): int
    {
        return $this->civil()[2];
    }

    public function dayOfYear(): int
    {
        return $this->number - self::daysFromCivil($this->year(), 1, 1) + 1;
    }

    /** @return array{int, int, int} year, month, day of month */
    private function civil(): array
    {
        $z = $this->number + 719468;
        $era = intdiv($z >= 0 ? $z : $z - 146096, 146097);
        $doe = $z - $era * 146097;
        $yoe = intdiv($doe - intdiv($doe, 1460) + intdiv($doe, 36524) - intdiv($doe, 146096), 365);
        $doy = $doe - (365 * $yoe + intdiv($yoe, 4) - intdiv($yoe, 100));
        $mp = intdiv(5 * $doy + 2, 153);
        $month = $mp < 10 ? $mp + 3 : $mp - 9;

        return [$yoe + $era * 400 + ($month <= 2 ? 1 : 0), $month, $doy - intdiv(153 * $mp + 2, 5) + 1];
    }

    private static function daysFromCivil(int $year, int $month, int $day): int
    {
        $y = $month <= 2 ? $year - 1 : $year;
        $era = intdiv($y >= 0 ? $y : $y - 399, 400);
        $yoe = $y - $era * 400;
        $doy = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $day - 1;

        return $era * 146097 + $yoe * 365 + intdiv($yoe, 4) - intdiv($yoe, 100) + $doy - 719468;
    }

    public function logged(): string
    {
        return $this->iso();
    }
}
