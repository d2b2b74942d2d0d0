<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Time\Day;

/** What there is of an item, in store and still to be lifted, against what is promised of it. */
final readonly class ItemStock
{
    /**
     * @param list<Holding>   $holdings
     * @param list<StockLot>  $lots
     * @param list<StockNeed> $needs    from today on
     * @param GroundHold|null $ground   what stands, left in the ground
     * @param OtherStore|null $other    what would make it last longer
     */
    public function __construct(public string $item, public Crop $crop, public array $holdings, public array $lots, public array $needs,
        public FirstOut $out, public LastsUntil $until, public ?GroundHold $ground = null, public ?OtherStore $other = null)
    {
    }

    /** Units in store. */
    public function there(): float
    {
        return array_sum(array_map(static fn (Holding $h): float => $h->units(), $this->holdings));
    }

    public function lastPromised(): ?Day
    {
        $last = $this->needs[array_key_last($this->needs) ?? -1] ?? null;

        return null === $last ? null : Day::of($last->day);
    }

    /** The first market day it does not last for; null: it lasts. */
    public function endsOn(): ?Day
    {
        return null === $this->until->firstShort ? null : Day::of($this->until->firstShort);
    }

    /** Some of what is promised after that is there again: it is a gap, not the end. */
    public function comesAgain(): bool
    {
        foreach ($this->out->takes as $n => $takes) {
            if (null !== $this->until->firstShort && $this->needs[$n]->day > $this->until->firstShort && [] !== $takes) {
                return true;
            }
        }

        return false;
    }

    /** The first day without any good lot; null: there is always one. */
    public function gapFrom(): ?Day
    {
        return null === $this->until->gap ? null : Day::of($this->until->gap);
    }

    /** Units left of a lot on a day, before what is sold that day, as it was first. */
    public function left(StockLot $lot, int $day): float
    {
        $left = $lot->units;
        foreach ($this->out->takes as $n => $takes) {
            $left -= $this->needs[$n]->day < $day ? ($takes[$lot->key] ?? 0.0) / $lot->sound($this->needs[$n]->day) : 0.0;
        }

        return $day > $lot->last ? 0.0 : max(0.0, $left);
    }
}
