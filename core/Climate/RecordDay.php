<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/**
 * The day of a line of a record, as weather services and stations write it: 2012-01-31, 2012/1/31, 20120131, 31.1.2012,
 * 1/31/2012, with a time after it or without. A record may be older than what is typed into a garden.
 */
final class RecordDay
{
    private const YEAR_FIRST = '~^(?<year>\d{4})([-/.])(?<month>\d{1,2})\2(?<day>\d{1,2})(?!\d)~';
    private const RUN_TOGETHER = '~^(?<year>\d{4})(?<month>\d{2})(?<day>\d{2})(?!\d)~';
    private const YEAR_LAST = '~^(\d{1,2})([-/.])(\d{1,2})\2(\d{4})(?!\d)~';

    /** @throws InvalidDay */
    public static function parse(string $text, bool $isDayFirst): Day
    {
        $plain = trim($text);
        if (1 === preg_match(self::YEAR_FIRST, $plain, $m) || 1 === preg_match(self::RUN_TOGETHER, $plain, $m)) {
            return Day::fromDate((int) $m['year'], (int) $m['month'], (int) $m['day']);
        }
        if (1 === preg_match(self::YEAR_LAST, $plain, $m)) {
            return Day::fromDate((int) $m[4], (int) $m[$isDayFirst ? 3 : 1], (int) $m[$isDayFirst ? 1 : 3]);
        }
        throw InvalidDay::notADate($text);
    }

    /**
     * Whether the day comes before the month: a part above twelve is a day. In a record of more than a fortnight there is one.
     *
     * @param array<string> $texts
     */
    public static function isDayFirst(array $texts): bool
    {
        foreach ($texts as $text) {
            if (1 === preg_match(self::YEAR_LAST, trim($text), $m) && (int) $m[1] !== (int) $m[3] && max((int) $m[1], (int) $m[3]) > 12) {
                return (int) $m[1] > 12;
            }
        }

        return true;
    }
}
