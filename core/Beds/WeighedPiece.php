<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;

/** A piece of a bed a planting could stand on, and what the soft rules weigh there. Micrometres from the head of the bed. */
final readonly class WeighedPiece
{
    public float $weight;

    /**
     * @param array<string, float> $bent  cents by rule
     * @param int                  $room  length of the free stretch it is taken from
     * @param int                  $order place of the bed in walking order
     */
    public function __construct(public Bed $bed, public int $from, public int $to, public array $bent, public int $room, public int $order)
    {
        $this->weight = array_sum($bent);
    }

    public function length(): int
    {
        return $this->to - $this->from;
    }

    /** The same cut to a length; its rules were weighed for the whole. */
    public function cut(int $micrometres): self
    {
        return new self($this->bed, $this->from, $this->from + $micrometres, $this->bent, $this->room, $this->order);
    }

    public function stretch(): Stretch
    {
        return Stretch::of($this->bed->name, $this->from, $this->to);
    }
}
