<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Measure\Temperature;
use JollyFurrow\Time\Day;

/**
 * What a logger in a store wrote: a line a reading, with its time, warmth and perhaps humidity, in columns told by their
 * headings. Days are means of their readings; an hour that comes twice, when clocks go back, counts once as the mean of both.
 */
final readonly class LoggerFile
{
    private const COLDEST = -40.0;
    private const HOTTEST = 60.0;

    /**
     * @param list<PlaceDay> $days
     * @param list<Day>      $missing  between the first and the last
     * @param int            $unread   lines that say nothing
     * @param bool           $asksUnit no heading says whether these are degrees C or F
     * @param bool           $asksDate nothing tells day and month apart
     */
    private function __construct(public array $days, public array $missing, public int $unread, public bool $asksUnit,
        public bool $asksDate)
    {
    }

    /**
     * @param list<list<string>> $rows         with their headings
     * @param bool|null          $isFahrenheit null: by the heading
     * @param bool|null          $isMonthFirst null: by the readings themselves
     */
    public static function read(string $place, array $rows, ?bool $isFahrenheit = null, ?bool $isMonthFirst = null): self
    {
        $head = array_map(static fn (string $cell): string => mb_strtolower(trim($cell)), $rows[0] ?? []);
        [$time, $warm, $damp] = [self::column($head, '/time|date|day/'), self::column($head, '/temp|°|warm/'), self::column($head,
            '/hum|rh/')];
        if (null === $time || null === $warm) {
            return new self([], [], \count($rows), false, false);
        }
        $isFahrenheit ??= self::isFahrenheit($head[$warm]);
        $isMonthFirst ??= self::isMonthFirst(array_map(static fn (array $r): string => $r[$time] ?? '', \array_slice($rows, 1)));
        if (null === $isFahrenheit || null === $isMonthFirst) {
            return new self([], [], 0, null === $isFahrenheit, null === $isMonthFirst);
        }
        $hours = [];
        $unread = 0;
        foreach (\array_slice($rows, 1) as $row) {
            $day = self::day($row[$time] ?? '', $isMonthFirst);
            $celsius = self::number($row[$warm] ?? '');
            $celsius = null !== $celsius && $isFahrenheit ? Temperature::fromFahrenheit($celsius)->celsius : $celsius;
            if (null === $day || null === $celsius || $celsius < self::COLDEST || $celsius > self::HOTTEST) {
                ++$unread;
                continue;
            }
            $hours[$day->number][trim($row[$time])][] = [$celsius, null === $damp ? null : self::number($row[$damp] ?? '')];
        }
        ksort($hours);

        return new self(self::days($place, $hours), self::missing(array_keys($hours)), $unread, false, false);
    }

    /** @param list<string> $head */
    private static function column(array $head, string $like): ?int
    {
        return array_keys(array_filter($head, static fn (string $h): bool => 1 === preg_match($like, $h)))[0] ?? null;
    }

    /** Null: the heading does not say. */
    private static function isFahrenheit(string $heading): ?bool
    {
        return match (true) {
            1 === preg_match('/(°|\(|\b)\s*f\b|fahrenheit/', $heading) => true,
            1 === preg_match('/(°|\(|\b)\s*c\b|celsius/', $heading) => false,
            default => null,
        };
    }

    /**
     * Null: it cannot be told.
     *
     * @param list<string> $times
     */
    private static function isMonthFirst(array $times): ?bool
    {
        $isOpen = false;
        foreach ($times as $time) {
            if (1 === preg_match('/^\s*(\d{1,2})[\/.-](\d{1,2})[\/.-]\d{4}/', $time, $m)) {
                if ((int) $m[1] > 12 || (int) $m[2] > 12) {
                    return (int) $m[2] > 12;
                }
                $isOpen = true;
            }
        }

        return $isOpen ? null : false;
    }

    private static function day(string $time, bool $isMonthFirst): ?Day
    {
        if (1 === preg_match('/^\s*(\d{4})-(\d{1,2})-(\d{1,2})/', $time, $m)) {
            [$year, $month, $day] = [(int) $m[1], (int) $m[2], (int) $m[3]];
        } elseif (1 === preg_match('/^\s*(\d{1,2})[\/.-](\d{1,2})[\/.-](\d{4})/', $time, $m)) {
            [$year, $month, $day] = $isMonthFirst ? [(int) $m[3], (int) $m[1], (int) $m[2]] : [(int) $m[3], (int) $m[2], (int) $m[1]];
        } else {
            return null;
        }

        return checkdate($month, $day, $year) ? Day::fromDate($year, $month, $day) : null;
    }

    private static function number(string $text): ?float
    {
        $text = str_replace(',', '.', trim($text, " \t%°CF"));

        return is_numeric($text) ? (float) $text : null;
    }

    /**
     * @param array<int, non-empty-array<string, non-empty-list<array{float, float|null}>>> $hours by day and time
     *
     * @return list<PlaceDay>
     */
    private static function days(string $place, array $hours): array
    {
        $days = [];
        foreach ($hours as $day => $times) {
            $warm = array_map(static fn (array $read): float => array_sum(array_column($read, 0)) / \count($read), array_values($times));
            $damp = array_values(array_filter(array_column(array_merge(...array_values($times)), 1),
                static fn (?float $h): bool => null !== $h
                && $h >= 0.0 && $h <= 100.0));
            $days[] = new PlaceDay($place, Day::of($day), round(array_sum($warm) / \count($warm), 2), round(min($warm), 2),
                round(max($warm), 2), [] === $damp ? null : round(array_sum($damp) / \count($damp), 1));
        }

        return $days;
    }

    /**
     * @param list<int> $days
     *
     * @return list<Day>
     */
    private static function missing(array $days): array
    {
        return [] === $days ? [] : array_map(Day::of(...), array_values(array_diff(range($days[0], $days[\count($days) - 1]), $days)));
    }
}
