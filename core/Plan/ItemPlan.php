<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

/** The successions chosen for one item, before they have a bed. */
final readonly class ItemPlan
{
    /** @param list<array{candidate: Candidate, steps: int, end: int}> $successions end: last day in the bed */
    public function __construct(public array $successions, public float $cost)
    {
    }
}
