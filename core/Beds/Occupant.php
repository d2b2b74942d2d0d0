<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** What stands, stood or is to stand on one stretch of a bed. Micrometres and day numbers, both ends included for days. */
final readonly class Occupant
{
    /**
     * @param string   $planting key; '': of an earlier year
     * @param bool     $isPast   nothing but the day it was cleared is known
     * @param int|null $rested   the ground can be made ready again from that day on; null: as soon as it is cleared
     */
    public function __construct(
        public string $planting,
        public string $item,
        public string $variety,
        public string $family,
        public string $group,
        public string $feeding,
        public int $from,
        public int $to,
        public int $start,
        public int $last,
        public int $ready,
        public bool $isPast,
        public float $widthShare = 1.0,
        private ?int $rested = null,
    ) {
    }

    /** The last day nothing else can be begun on its ground: what is left of a green manure rots first. */
    public function holdsUntil(): int
    {
        return null === $this->rested ? $this->last : max($this->last, $this->rested - 1);
    }
}
