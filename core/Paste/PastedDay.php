<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** Dates as people write them: 2026-05-20, 20.5.2026, 5/20/26, 20 May, May 20. Without a year: the last such day up to today. */
final class PastedDay
{
    private const MONTHS = ['jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9,
        'oct' => 10, 'nov' => 11, 'dec' => 12];

    /** "sown 12 May" says how it went in; null when it does not. */
    public static function how(string $text): ?Column
    {
        return match (true) {
            1 === preg_match('/^\s*(sown|seeded|sow)\b.*\b(trays?|nursery|modules?|plugs?)\b/i', $text) => Column::Trays,
            1 === preg_match('/^\s*(sown|seeded|sow|direct)\b/i', $text) => Column::Sown,
            1 === preg_match('/^\s*(planted|transplanted|set)\b/i', $text) => Column::Planted,
            default => null,
        };
    }

    /** @throws InvalidDay */
    public static function parse(string $text, Day $today, bool $dayFirst): Day
    {
        $text = null === self::how($text) ? $text
            : (string) preg_replace('/^\s*[a-z]+\b(\s+(out|on|in|trays?|nursery|modules?|plugs?|sown))*\s*:?/i', '', $text);
        $text = trim(preg_replace('/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*[.,]?\s+/i', '', trim($text)) ?? '');
        if (1 === preg_match('/^\d{4}-\d{1,2}-\d{1,2}$/', $text)) {
            return Day::parse($text);
        }
        if (1 === preg_match('/^(\d{1,2})([.\/-])\s?(\d{1,2})(?:\2\s?(\d{4}|\d{2})?)?$/', $text, $m)) {
            $first = '.' === $m[2] || $dayFirst;

            return self::of($text, $m[4] ?? '', (int) ($first ? $m[3] : $m[1]), (int) ($first ? $m[1] : $m[3]), $today);
        }
        if (1 === preg_match('/^(\d{1,2})(?:st|nd|rd|th)?[. -]*([a-z]{3,9})\.?,?[ -]*(\d{4}|\d{2})?$/i', $text, $m)
            && isset(self::MONTHS[self::short($m[2])])) {
            return self::of($text, $m[3] ?? '', self::MONTHS[self::short($m[2])], (int) $m[1], $today);
        }
        if (1 === preg_match('/^([a-z]{3,9})\.? (\d{1,2})(?:st|nd|rd|th)?,?(?: (\d{4}|\d{2}))?$/i', $text, $m)
            && isset(self::MONTHS[self::short($m[1])])) {
            return self::of($text, $m[3] ?? '', self::MONTHS[self::short($m[1])], (int) $m[2], $today);
        }
        throw InvalidDay::notADate($text);
    }

    public static function isOne(string $text, Day $today): bool
    {
        foreach ([true, false] as $dayFirst) {
            try {
                self::parse($text, $today, $dayFirst);

                return true;
            } catch (InvalidDay) {
            }
        }

        return false;
    }

    /**
     * Whether dates such as 3/4 are day/month: true, false, or null when the list does not tell.
     *
     * @param list<string> $texts
     */
    public static function isDayFirst(array $texts): ?bool
    {
        $seen = null;
        foreach ($texts as $text) {
            if (1 === preg_match('/^\s*(\d{1,2})[\/-](\d{1,2})\b/', $text, $m)) {
                $seen = (int) $m[1] > 12 ? true : ((int) $m[2] > 12 ? false : $seen);
            }
        }

        return $seen;
    }

    /** @param list<string> $texts */
    public static function isOrderAsked(array $texts): bool
    {
        return null === self::isDayFirst($texts) && [] !== preg_grep('/^\s*\d{1,2}[\/-]\d{1,2}\b/', $texts);
    }

    private static function of(string $text, string $year, int $month, int $day, Day $today): Day
    {
        if ('' !== $year) {
            $whole = 2 === \strlen($year) ? 2000 + (int) $year : (int) $year;

            return checkdate($month, $day, $whole) ? Day::fromDate($whole, $month, $day) : throw InvalidDay::notInCalendar($text);
        }
        for ($whole = $today->year(); $whole > $today->year() - 5; --$whole) {
            if (checkdate($month, $day, $whole) && !$today->isBefore(Day::fromDate($whole, $month, $day))) {
                return Day::fromDate($whole, $month, $day);
            }
        }
        throw InvalidDay::notInCalendar($text);
    }

    private static function short(string $month): string
    {
        return strtolower(substr($month, 0, 3));
    }
}
