<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** Units of one crop wanted for one market day, as one that spreads the picking sees them. */
final readonly class SpreadWant
{
    /**
     * @param string      $source     what it is picked from: several wants of one source share what is ripe
     * @param int         $from       first day it can be picked on, counted from the first day of the spread
     * @param int         $day        the market day
     * @param float       $hours      a unit, above 0
     * @param float       $lost       cents a unit loses with a day of age
     * @param float       $shortPrice cents a unit that is not there
     * @param string|null $room       where it lies the nights until its market day; null: nowhere that is counted
     * @param float       $crate      units in a crate
     * @param int|null    $until      last day it can be picked on; null: the market day
     */
    public function __construct(public string $source, public int $from, public int $day, public int $units, public float $hours,
        public float $lost, public float $shortPrice, public ?string $room = null, public float $crate = 1.0,
        public ?int $until = null)
    {
        if ($hours <= 0.0) {
            throw UnusableSpread::noHours($source);
        }
    }

    /** The last of so many days it can be picked on. */
    public function last(int $days): int
    {
        return min($this->day, $this->until ?? $this->day, $days - 1);
    }

    /** Cents a unit for its age when it is picked on a day. */
    public function aged(int $picked): float
    {
        return ($this->day - $picked) * $this->lost;
    }
}
