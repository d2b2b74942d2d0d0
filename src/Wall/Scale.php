<?php

declare(strict_types=1);

namespace App\Wall;

use App\Wording\MonthTick;
use App\Wording\TimeAxis;
use JollyFurrow\Time\Day;

/** Time across: pixels by day number, from the first day shown. */
final readonly class Scale
{
    public const WEEK = 22.5;

    private function __construct(public int $first, public int $weeks)
    {
    }

    public static function from(Day $first, int $weeks): self
    {
        return new self($first->week()->monday()->number, $weeks);
    }

    public function x(int $day): float
    {
        return round(max(0.0, min($this->width(), ($day - $this->first) * self::WEEK / 7)), 1);
    }

    /** @return list<MonthTick> */
    public function months(): array
    {
        return (new TimeAxis($this->first, 7 * $this->weeks, $this->width()))->months();
    }

    public function width(): float
    {
        return $this->weeks * self::WEEK;
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
