<?php

declare(strict_types=1);

namespace App\Wall;

use App\Wording\MonthTick;
use App\Wording\TimeAxis;
use JollyFurrow\Time\Day;

/** Time across: pixels by day number, from the first day shown. */
final readonly class Scale
{
    private const WEEK = 22.5;

    /** @param float $week pixels */
    private function __construct(public int $first, public int $weeks, public float $week)
    {
    }

    public static function from(Day $first, int $weeks, float $week = self::WEEK): self
    {
        return new self($first->week()->monday()->number, $weeks, $week);
    }

    public function x(int $day): float
    {
        return round(max(0.0, min($this->width(), ($day - $this->first) * $this->week / 7)), 1);
    }

    /** @return list<MonthTick> */
    public function months(): array
    {
        return (new TimeAxis($this->first, 7 * $this->weeks, $this->width()))->months();
    }

    /** The Monday of a week of it. */
    public function day(int $week): Day
    {
        return Day::of($this->first + 7 * $week);
    }

    public function width(): float
    {
        return $this->weeks * $this->week;
    }

    public function end(): int
    {
        return $this->first + 7 * $this->weeks;
    }

    public function shows(int $from, int $last): bool
    {
        return $last >= $this->first && $from < $this->end();
    }
}
