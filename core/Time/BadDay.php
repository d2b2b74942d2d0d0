<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Message\Code;

/** What is wrong with a day somebody typed. */
enum BadDay: string implements Code
{
    /** Values: text. */
    case NotADate = 'not-a-date';
    /** Values: text. */
    case NotInCalendar = 'not-in-calendar';
    /** Values: number. */
    case OutOfRange = 'out-of-range';
    /** Values: text. */
    case NotADayOfTheYear = 'not-a-day-of-the-year';
}
