<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

final class InvalidDay extends \InvalidArgumentException implements BadInput
{
    public static function notADate(string $text): self
    {
        return new self(\sprintf('%s is not a date. Write year-month-day, for example 2026-05-20.', Quote::of($text)));
    }

    public static function notInCalendar(string $text): self
    {
        return new self(\sprintf('%s does not exist in the calendar. Check the day of the month.', Quote::of($text)));
    }

    public static function outOfRange(int $number): self
    {
        return new self(\sprintf('Day number %d is outside the years 1900 to 2199.', $number));
    }
}
