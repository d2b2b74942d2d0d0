<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** Half-open run of days [start, end): the end day is the first one no longer in it. */
final readonly class Period
{
    private function __construct(public Day $start, public Day $end)
    {
        if ($end->isBefore($start)) {
            throw new \LogicException(\sprintf('A period cannot end (%s) before it starts (%s).', $end->iso(), $start->iso()));
        }
    }

    public static function between(Day $start, Day $end): self
    {
        return new self($start, $end);
    }

    /** Both days included. */
    public static function fromFirstToLast(Day $first, Day $last): self
    {
        return new self($first, $last->plus(1));
    }

    public function days(): int
    {
        return $this->end->since($this->start);
    }

    public function last(): Day
    {
        return $this->end->plus(-1);
    }

    public function contains(Day $day): bool
    {
        return !$day->isBefore($this->start) && $day->isBefore($this->end);
    }

    public function overlaps(self $other): bool
    {
        return $this->start->isBefore($other->end) && $other->start->isBefore($this->end);
    }
}
