<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Message\Message;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StoreNeeds;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** What of a lot lies at one place today, and until when it is good there. */
final readonly class Holding
{
    /**
     * @param int           $hundredths of a unit of sale
     * @param float         $spent      share of the life it is likely to have that is used up
     * @param float         $rate       days of its life a day there uses up
     * @param Day           $goodFrom   it is at its best
     * @param Day           $early      its last good day if it keeps badly
     * @param Day           $likely     its last good day
     * @param Day           $late       its last good day if it keeps well
     * @param list<Message> $reasons    why not longer
     */
    public function __construct(public HarvestLot $lot, public Crop $crop, public StorePlace $place, public StoreNeeds $needs,
        public int $hundredths, public float $spent, public float $rate, public Day $goodFrom, public Day $early, public Day $likely,
        public Day $late, public array $reasons)
    {
    }

    public function units(): float
    {
        return $this->hundredths / 100;
    }

    public function crates(): float
    {
        return $this->units() / $this->needs->crate;
    }

    /** Its last good day were it moved on a day to where a day uses up so much of its life. */
    public function goodAt(float $rate, Day $today): Day
    {
        $left = max(0.0, $this->likely->since($today) * $this->rate);

        return $today->plus((int) min(3650.0, floor($left / max(1e-6, $rate))));
    }
}
