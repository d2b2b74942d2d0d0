<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** A permanent bed. Its position follows from its block's order and its own order in the block. */
final readonly class Bed
{
    /**
     * @param list<Quarantine> $quarantine
     * @param Day|null         $retired    from that day on nothing is planted in it; its history is kept. null: in use
     */
    public function __construct(
        public string $name,
        public string $block,
        public int $position,
        public Length $length,
        public Length $width,
        public Length $path,
        public PlaceType $place,
        public Temper $temper = new Temper(),
        public array $quarantine = [],
        public ?Day $retired = null,
    ) {
    }

    /** A family that is kept off it on that day; null: none of that name. */
    public function quarantineOf(string $family, Day $day): ?Quarantine
    {
        foreach ($this->quarantine as $one) {
            if ($one->family === $family && !$one->until->isBefore($day)) {
                return $one;
            }
        }

        return null;
    }

    public function isRetiredOn(Day $day): bool
    {
        return null !== $this->retired && !$day->isBefore($this->retired);
    }

    public function area(): Area
    {
        return $this->length->times($this->width);
    }
}
