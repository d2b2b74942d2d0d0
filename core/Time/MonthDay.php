<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\BadInput;

/** A day of any year, written "05-12"; 29 February is not one. */
final readonly class MonthDay
{
    private function __construct(public int $month, public int $day)
    {
    }

    /** @throws BadInput */
    public static function parse(string $text): self
    {
        if (1 !== preg_match('/^\s*(\d{1,2})-(\d{1,2})\s*$/', $text, $m) || !checkdate((int) $m[1], (int) $m[2], 2001)) {
            throw InvalidMonthDay::notADay($text);
        }

        return new self((int) $m[1], (int) $m[2]);
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

    public function halfAYearLater(): self
    {
        $day = $this->in(2001)->plus(182);

        return new self($day->month(), $day->dayOfMonth());
    }
}
