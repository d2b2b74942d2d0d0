<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** A window that returns every year, both days included; it may run over the turn of the year. */
final readonly class YearWindow
{
    private function __construct(public MonthDay $from, public MonthDay $to)
    {
    }

    public static function between(MonthDay $from, MonthDay $to): self
    {
        return new self($from, $to);
    }

    public function contains(Day $day): bool
    {
        $at = $day->month() * 100 + $day->dayOfMonth();
        $from = $this->from->order();
        $to = $this->to->order();

        return $from <= $to ? $at >= $from && $at <= $to : $at >= $from || $at <= $to;
    }

    /** The same season in the other half of the world: half a year later. */
    public function mirrored(): self
    {
        return new self($this->from->halfAYearLater(), $this->to->halfAYearLater());
    }
}
