<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/**
 * One sowing of one item: its dates, its length and the stretches of bed it stands on for the whole of its
 * occupancy. It keeps the yield it was planned with.
 */
final readonly class Planting
{
    /**
     * @param string        $key      item, sowing day, number
     * @param Day           $sow      in the tray or in the bed
     * @param Day           $ground   sown in the bed or planted out
     * @param Day           $bedStart first day the bed is taken, preparation included
     * @param Day           $ready    first harvest
     * @param Day           $clear    last day the bed is taken
     * @param float         $perMetre yield per bed metre in units of sale
     * @param list<Stretch> $pieces
     * @param list<string>  $remarks  soft rules that bent, in words
     */
    public function __construct(
        public string $key,
        public string $item,
        public Method $method,
        public PlaceType $place,
        public string $recipe,
        public Day $sow,
        public Day $ground,
        public Day $bedStart,
        public Day $ready,
        public Day $clear,
        public float $perMetre,
        public array $pieces,
        public Standing $standing,
        public bool $locked,
        public array $remarks = [],
    ) {
    }

    public function length(): Length
    {
        return Length::fromMillimetres(array_sum(array_map(static fn (Stretch $piece): int => $piece->to - $piece->from, $this->pieces)));
    }

    public function occupancy(): Period
    {
        return Period::fromFirstToLast($this->bedStart, $this->clear);
    }

    /**
     * Drawing up the plan anew leaves it alone: it is locked, begun, cleared, or its first work falls
     * before the day up to which the plan is frozen.
     */
    public function stays(Day $frozenUntil): bool
    {
        return $this->locked || Standing::Planned !== $this->standing || $this->firstWork()->isBefore($frozenUntil);
    }

    /** The same planting, to stay as it is whenever the plan is drawn up anew. */
    public function lock(): self
    {
        return new self($this->key, $this->item, $this->method, $this->place, $this->recipe, $this->sow, $this->ground, $this->bedStart, $this->ready, $this->clear, $this->perMetre, $this->pieces, $this->standing, true, $this->remarks);
    }

    /** Still only planned, though its sowing day has gone by. */
    public function isLate(Day $today): bool
    {
        return Standing::Planned === $this->standing && $this->sow->isBefore($today);
    }

    public function firstWork(): Day
    {
        return $this->sow->isBefore($this->bedStart) ? $this->sow : $this->bedStart;
    }
}
