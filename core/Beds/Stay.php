<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidate;

/** Who would stand on a bed, and on which days: what every rule of the beds is asked about. Day numbers. */
final readonly class Stay
{
    private function __construct(public Crop $crop, public int $ground, public int $start, public int $last, public int $ready)
    {
    }

    /** @param int $start the bed is taken from that day on, by the way it is made ready */
    public static function ofCandidate(Crop $crop, Candidate $candidate, int $start, int $last): self
    {
        return new self($crop, $candidate->ground, $start, $last, $candidate->ready);
    }

    public static function ofPlanting(Crop $crop, Planting $planting): self
    {
        return new self($crop, $planting->ground->number, $planting->bedStart->number, $planting->clear->number, $planting->ready->number);
    }

    /** A green manure: sown, and ended where a crop would be ready. */
    public static function ofGreenManure(Crop $crop, Day $sow, Day $end): self
    {
        return new self($crop, $sow->number, $sow->number, max($sow->number, $end->number), $end->number);
    }

    public function period(): Period
    {
        return Period::fromFirstToLast(Day::of($this->start), Day::of(max($this->start, $this->last)));
    }
}
