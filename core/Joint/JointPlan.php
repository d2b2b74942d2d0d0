<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

use JollyFurrow\Succession\ItemPlan;

/** The successions of all items together, and what the beds are worth in each week because of it. */
final readonly class JointPlan
{
    /**
     * @param array<string, ItemPlan>          $plans   by item; at the base rents
     * @param array<string, array<int, float>> $rents   cents a bed metre and week are worth, by place type and week
     * @param bool                             $isWhole every item was reached
     */
    public function __construct(public array $plans, public array $rents, public bool $isWhole)
    {
    }

    public function cost(): float
    {
        return array_sum(array_map(static fn (ItemPlan $plan): float => $plan->cost, $this->plans));
    }
}
