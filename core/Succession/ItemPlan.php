<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Ways\Candidate;

/** The successions chosen for one item, before they have a bed. */
final readonly class ItemPlan
{
    /**
     * @param list<array{candidate: Candidate, steps: int, end: int}> $successions end: last day in the bed
     * @param float                                                   $cost        at the rents it was planned with; not known: INF
     */
    public function __construct(public array $successions, public float $cost, public int $short = 0)
    {
    }

    /** The same successions at other rents. */
    public function at(RentSums $before, RentSums $now, Grid $grid): self
    {
        $more = 0.0;
        foreach ($this->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
            $more += $steps * $grid->metres($c) * ($now->between($c->place, $c->bedStart, $end) - $before->between($c->place,
                $c->bedStart, $end));
        }

        return new self($this->successions, $this->cost + $more, $this->short);
    }

    /** @return array<string, int> steps by candidate */
    public function steps(): array
    {
        $steps = [];
        foreach ($this->successions as ['candidate' => $candidate, 'steps' => $n]) {
            $steps[$candidate->key()] = ($steps[$candidate->key()] ?? 0) + $n;
        }

        return $steps;
    }
}
