<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\DayLength;
use JollyFurrow\Time\Day;

/** The days of a latitude through the year: how long, and how far from the longest and the shortest. */
final class Sun
{
    /** A year whose longest day is not so many hours longer than its shortest knows no seasons of light. */
    private const EVEN = 1.0;
    private const HALF_YEAR = 183;
    private const YEAR = 365;
    /** @var array<int, float> hours by day of the year */
    private array $hours = [];
    public readonly float $longest;
    public readonly float $shortest;

    public function __construct(private readonly float $latitude)
    {
        $this->longest = DayLength::hours($latitude, Day::parse($latitude < 0 ? '2025-12-21' : '2025-06-21'));
        $this->shortest = DayLength::hours($latitude, Day::parse($latitude < 0 ? '2025-06-21' : '2025-12-21'));
    }

    /** Hours of daylight on a day. */
    public function hoursOn(int $day): float
    {
        return $this->hours[$day % 1461] ??= DayLength::hours($this->latitude, Day::of($day));
    }

    public function isEven(): bool
    {
        return $this->longest - $this->shortest < self::EVEN;
    }

    /** Days since the longest day before, or on, this one. */
    public function sinceLongest(int $day): int
    {
        $year = Day::of($day)->year();
        foreach ([$year, $year - 1] as $of) {
            $longest = Day::fromDate($of, $this->latitude < 0 ? 12 : 6, 21)->number;
            if ($longest <= $day) {
                return $day - $longest;
            }
        }

        return $day - Day::fromDate($year - 1, $this->latitude < 0 ? 12 : 6, 21)->number;
    }

    /** The shortest day on or after this one. */
    public function midwinterFrom(int $day): int
    {
        return $day + (self::YEAR + self::HALF_YEAR - $this->sinceLongest($day)) % self::YEAR;
    }

    /** Days grow longer. */
    public function isRising(int $day): bool
    {
        return $this->sinceLongest($day) >= self::HALF_YEAR;
    }
}
