<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Time\Day;

/** The days of one planting, from the tray to the cleared bed. */
final readonly class Dates
{
    public function __construct(public Day $sow, public Day $ground, public Day $bedStart, public Day $ready, public Day $clear)
    {
    }

    public function later(int $days): self
    {
        return new self($this->sow->plus($days), $this->ground->plus($days), $this->bedStart->plus($days), $this->ready->plus($days),
            $this->clear->plus($days));
    }

    /** Ended on a day, whatever was still to come; the order of the days is kept. */
    public function endedOn(Day $day): self
    {
        $end = $day->isBefore($this->sow) ? $this->sow : $day;
        $upTo = static fn (Day $d): Day => $end->isBefore($d) ? $end : $d;

        return new self($this->sow, $upTo($this->ground), $upTo($this->bedStart), $upTo($this->ready), $end);
    }
}
