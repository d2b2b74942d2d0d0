<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Measure\Units;

/** Whether the day of the month comes before the month or after it. */
enum DateForm: string
{
    case DayFirst = 'day-first';
    case MonthFirst = 'month-first';
    /** For answers to machines. */
    case Iso = 'iso';

    /** Where nothing else is chosen. */
    public static function usual(Units $units): self
    {
        return Units::UsCustomary === $units ? self::MonthFirst : self::DayFirst;
    }
}
