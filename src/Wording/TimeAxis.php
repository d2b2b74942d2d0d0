<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Time\Day;

/** Days across a drawing, or up it: where each lies, and where the months begin. The one axis of all charts. */
final readonly class TimeAxis
{
    /** @param int $first day number */
    public function __construct(public int $first, public int $days, public float $length)
    {
    }

    /** Pixels from the first day. */
    public function at(int $day): float
    {
        return round($this->length * ($day - $this->first) / $this->days, 1);
    }

    /** Pixels of a run of days, both included. */
    public function wide(int $from, int $last): float
    {
        return round($this->at($last + 1) - $this->at($from), 1);
    }

    /** @return list<MonthTick> the first of each month that lies on it */
    public function months(): array
    {
        $ticks = [];
        $day = Day::of($this->first);
        for ($month = Day::fromDate($day->year(), $day->month(),
            1); $month->number < $this->first + $this->days; $month = self::next($month)) {
            if ($month->number >= $this->first) {
                $ticks[] = new MonthTick($this->at($month->number), Formatter::month($month->month()), $month->year());
            }
        }

        return $ticks;
    }

    private static function next(Day $month): Day
    {
        return 12 === $month->month() ? Day::fromDate($month->year() + 1, 1, 1) : Day::fromDate($month->year(), $month->month() + 1, 1);
    }
}
