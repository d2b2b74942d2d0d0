<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** A day of any year, "05-12" in files; 29 February is not one. */
final readonly class MonthDay
{
    private const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october',
        'november', 'december'];

    private function __construct(public int $month, public int $day)
    {
    }

    /**
     * Reads "05-12", "12 May", "May 12".
     *
     * @throws InvalidMonthDay
     */
    public static function parse(string $text): self
    {
        $month = $day = 0;
        if (1 === preg_match('/^\s*(\d{1,2})-(\d{1,2})\s*$/', $text, $m)) {
            [$month, $day] = [(int) $m[1], (int) $m[2]];
        } elseif (1 === preg_match('/^\s*(\d{1,2})\.?\s+([a-z]{3,9})\.?\s*$/i', $text, $m)) {
            [$month, $day] = [self::monthNamed($m[2]), (int) $m[1]];
        } elseif (1 === preg_match('/^\s*([a-z]{3,9})\.?\s+(\d{1,2})\s*$/i', $text, $m)) {
            [$month, $day] = [self::monthNamed($m[1]), (int) $m[2]];
        }
        if (!checkdate($month, $day, 2001)) {
            throw InvalidMonthDay::notADay($text);
        }

        return new self($month, $day);
    }

    /** 0: there is none of that name. */
    private static function monthNamed(string $name): int
    {
        foreach (self::MONTHS as $number => $month) {
            if (str_starts_with($month, strtolower($name))) {
                return $number + 1;
            }
        }

        return 0;
    }

    public function in(int $year): Day
    {
        return Day::fromDate($year, $this->month, $this->day);
    }

    public function iso(): string
    {
        return \sprintf('%02d-%02d', $this->month, $this->day);
    }

    public function order(): int
    {
        return $this->month * 100 + $this->day;
    }

    /** Day of a year that is no leap year, 1 to 365. */
    public function dayOfYear(): int
    {
        return $this->in(2025)->dayOfYear();
    }

    public function halfAYearLater(): self
    {
        $day = $this->in(2001)->plus(182);

        return new self($day->month(), $day->dayOfMonth());
    }
}
