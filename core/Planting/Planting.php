<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/**
 * One sowing of one item: its dates, its length and the stretches of bed it stands on for the whole of its
 * occupancy. It keeps the yield it was planned with.
 */
final readonly class Planting
{
    /** Key of its crop and variety in the book. */
    public string $variety;

    /**
     * @param string            $key         item, sowing day, number
     * @param Day               $sow         in the tray or in the bed
     * @param Day               $ground      sown in the bed or planted out
     * @param Day               $bedStart    first day the bed is taken, preparation included
     * @param Day               $ready       first harvest
     * @param Day               $clear       last day the bed is taken
     * @param float             $perMetre    yield per bed metre in units of sale
     * @param list<Stretch>     $pieces
     * @param list<Message>     $remarks     soft rules that bent, and what else is to be told
     * @param float             $stand       share of a full stand that came up and is still there
     * @param Left|null         $left        what a look or a harvest found still to come
     * @param string|null       $variety     null: the crop's first
     * @param array<int, float> $harvest     share of the yield by days after ready, for cuts and pickings; none: by the crop's rhythm
     * @param list<string>      $careLeftOut keys of care that is not done for it, by choice
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
        public float $stand = 1.0,
        public ?Left $left = null,
        ?string $variety = null,
        public array $harvest = [],
        public array $careLeftOut = [],
    ) {
        $this->variety = $variety ?? $item;
    }

    public function length(): Length
    {
        return Length::fromMicrometres(array_sum(array_map(static fn (Stretch $piece): int => $piece->to - $piece->from, $this->pieces)));
    }

    /** Metres of whole bed it comes to: a share of the width is a share of the metre. */
    public function bedMetres(): float
    {
        return array_sum(array_map(static fn (Stretch $piece): float => $piece->length()->metres() * $piece->widthShare, $this->pieces));
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
        return $this->but(locked: true);
    }

    /**
     * The same planting but for what is named.
     *
     * @param list<Stretch>|null     $pieces
     * @param list<Message>|null     $remarks
     * @param array<int, float>|null $harvest
     * @param list<string>|null      $careLeftOut
     */
    public function but(?string $key = null, ?PlaceType $place = null, ?Dates $dates = null, ?array $pieces = null,
        ?Standing $standing = null, ?bool $locked = null, ?array $remarks = null, ?float $stand = null, ?Left $left = null,
        ?float $perMetre = null, ?string $recipe = null, ?array $harvest = null, ?array $careLeftOut = null): self
    {
        return new self(
            $key ?? $this->key, $this->item, $this->method, $place ?? $this->place, $recipe ?? $this->recipe,
            $dates->sow ?? $this->sow, $dates->ground ?? $this->ground, $dates->bedStart ?? $this->bedStart,
            $dates->ready ?? $this->ready, $dates->clear ?? $this->clear,
            $perMetre ?? $this->perMetre, $pieces ?? $this->pieces, $standing ?? $this->standing, $locked ?? $this->locked,
            $remarks ?? $this->remarks, $stand ?? $this->stand, $left ?? $this->left, $this->variety, $harvest ?? $this->harvest,
            $careLeftOut ?? $this->careLeftOut,
        );
    }

    public function dates(): Dates
    {
        return new Dates($this->sow, $this->ground, $this->bedStart, $this->ready, $this->clear);
    }

    /** Units of sale a bed metre gives, of the stand there is. */
    public function yieldPerMetre(): float
    {
        return $this->perMetre * $this->stand;
    }

    /** Drops what lies behind: its bed is free from the day after it was cleared. */
    public function isOver(Day $today): bool
    {
        return Standing::Cleared === $this->standing || $this->clear->isBefore($today);
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
