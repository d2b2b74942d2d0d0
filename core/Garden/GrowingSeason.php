<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** The year as a grower counts it: from March in the north, from September in the south, where it spans two calendar years. */
final readonly class GrowingSeason
{
    private const NORTH = 3;
    private const SOUTH = 9;

    private function __construct(public int $year, public Day $first, private bool $isSouth)
    {
    }

    public static function of(float $latitude, int $year): self
    {
        return new self($year, Day::fromDate($year, $latitude < 0 ? self::SOUTH : self::NORTH, 1), $latitude < 0);
    }

    public static function on(float $latitude, Day $today): self
    {
        $season = self::of($latitude, $today->year());

        return $today->isBefore($season->first) ? self::of($latitude, $today->year() - 1) : $season;
    }

    /** "2026", "2026/27" */
    public function name(): string
    {
        return $this->isSouth ? \sprintf('%d/%02d', $this->year, ($this->year + 1) % 100) : (string) $this->year;
    }

    public function days(): Period
    {
        return Period::between($this->first, Day::fromDate($this->year + 1, $this->first->month(), 1));
    }

    /** For sums of money: the calendar year in the north, July to June in the south. */
    public function books(): Period
    {
        return $this->isSouth ? Period::between(Day::fromDate($this->year, 7, 1), Day::fromDate($this->year + 1, 7, 1))
            : Period::between(Day::fromDate($this->year, 1, 1), Day::fromDate($this->year + 1, 1, 1));
    }
}
