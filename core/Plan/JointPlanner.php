<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

/**
 * All items together where beds are short. Each item is planned alone at the same rents; rents of over-full weeks rise
 * and of others sink again (subgradient steps on the Lagrangian, Held, Wolfe & Crowder 1974), large first. From the
 * rents of several rounds a plan is made that fits: what earns least by metre and day gives way, every item is planned
 * anew at true cost inside what is left, again and again as long as it helps. The cheapest such plan is the answer.
 */
final class JointPlanner
{
    private const ROUNDS = 14;
    /** Valuations an item gets before it is known whether the beds are short. */
    private const FIRST_EFFORT = 3000;
    /** First step, in shares of what a bed metre earns a week, and how it decays. */
    private const STEP = 1.2;
    private const DECAY = 0.87;
    /** Of weeks that are not full any more the rent sinks by so many times the free share. */
    private const EBB = 2.0;
    /** Rounds a fitting plan is made from. */
    private const REPAIRED = 2;
    private const SWEEPS = 2;
    /** Times the rents of what is still over-full are raised, item by item, before a plan is cut to fit. */
    private const EASED = 10;
    private const EASING = 0.15;

    private readonly RentSums $base;

    /** @param array<string, array<int, float>> $rents base rents by place type and week */
    public function __construct(private readonly ItemPlanner $items, private readonly Grid $grid, private readonly Rooms $rooms, private readonly array $rents)
    {
        $this->base = RentSums::fromWeeks($rooms->first, $rents);
    }

    /** @param array<string, Wanted> $wanted by item */
    public function draw(array $wanted, Progress $progress = new NoProgress()): JointPlan
    {
        $plans = [];
        $steps = \count($wanted) + self::ROUNDS;
        foreach ($wanted as $item => $one) {
            if (!$progress->at(\count($plans), $steps, $item)) {
                return new JointPlan($this->fitted($wanted, $plans, 0), $this->rents, false);
            }
            $plans[$item] = $this->items->plan($one, $this->base, self::FIRST_EFFORT);
        }
        if ([] === $this->tooMuch($plans)) {
            $plans = $this->deepened($wanted, $plans);
            if ([] === $this->tooMuch($plans)) {
                return new JointPlan($plans, $this->rents, true);
            }
        }
        [$rounds, $isStopped] = $this->rounds($wanted, $plans, $progress, $steps);
        $bounds = array_map(fn (array $round): float => $this->bound($round['plans'], $round['rents']), $rounds);
        $highest = $rounds[(int) array_search(max([-\INF, ...$bounds]), $bounds, true)];
        usort($rounds, static fn (array $a, array $b): int => $a['over'] <=> $b['over']);
        $best = new JointPlan($plans, $highest['rents'], true);
        $lowest = \INF;
        $worth = $this->worth($wanted);
        foreach ([$highest, ...\array_slice($rounds, 0, $isStopped ? 0 : self::REPAIRED - 1)] as $round) {
            $eased = $isStopped ? $round['plans'] : $this->eased($wanted, $round['plans'], $round['rents'], $worth);
            $fitted = new JointPlan($this->fitted($wanted, $eased, $isStopped ? 0 : self::SWEEPS), $highest['rents'], true);
            if ($fitted->cost() < $lowest - 1e-6) {
                [$best, $lowest] = [$fitted, $fitted->cost()];
            }
        }

        return $best;
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans  at base rents
     *
     * @return array{list<array{plans: array<string, ItemPlan>, rents: array<string, array<int, float>>, over: float}>, bool} rounds; stopped early
     */
    private function rounds(array $wanted, array $plans, Progress $progress, int $steps): array
    {
        $worth = $this->worth($wanted);
        $rents = $this->rents;
        $rounds = [['plans' => $plans, 'rents' => $rents, 'over' => array_sum(array_map(array_sum(...), $this->tooMuch($plans)))]];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            if (!$progress->at($steps - self::ROUNDS + $round, $steps, '')) {
                return [$rounds, true];
            }
            $next = $this->raised($rents, $plans, $worth * self::STEP * self::DECAY ** $round);
            if ($next === $rents) {
                break;
            }
            [$before, $rents] = [RentSums::fromWeeks($this->rooms->first, $rents), $next];
            $now = RentSums::fromWeeks($this->rooms->first, $rents);
            $cheaper = $this->cheaper($before, $now);
            foreach ($wanted as $item => $one) {
                $plans[$item] = $this->isUntouched($one, $plans[$item], $before, $now, $cheaper) ? $plans[$item] : $this->items->plan($one, $now, ItemPlanner::EFFORT_AGAIN, $plans[$item]->at($before, $now, $this->grid));
            }
            $rounds[] = ['plans' => array_map(fn (ItemPlan $plan): ItemPlan => $plan->at($now, $this->base, $this->grid), $plans), 'rents' => $rents, 'over' => array_sum(array_map(array_sum(...), $this->tooMuch($plans)))];
        }

        return [$rounds, false];
    }

    /**
     * Rents of weeks with more in use than there is rise, of others with more than their base rent sink.
     *
     * @param array<string, array<int, float>> $rents
     * @param array<string, ItemPlan>          $plans
     *
     * @return array<string, array<int, float>>
     */
    private function raised(array $rents, array $plans, float $step): array
    {
        $left = $this->with($plans)->left();
        foreach ($rents as $place => $weeks) {
            $all = $this->rooms->left()[$place];
            foreach ($weeks as $week => $rent) {
                $free = $there = 0.0;
                for ($day = 7 * $week; $day < 7 * $week + 7; ++$day) {
                    $free += $left[$place][$day] ?? 0.0;
                    $there += $all[$day] ?? 0.0;
                }
                if ($free < 0.0 || $rent > $this->rents[$place][$week]) {
                    $more = max(-1.0, min(1.5, -$free / max(7.0, $there)));
                    $premium = ($rent - $this->rents[$place][$week]) * ($more < 0.0 ? max(0.3, 1 + self::EBB * $more) : 1.0);
                    $rents[$place][$week] = $this->rents[$place][$week] + max(0.0, $premium + $step * $more);
                }
            }
        }

        return $rents;
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     *
     * @return array<string, ItemPlan> with all the effort an item may be given
     */
    private function deepened(array $wanted, array $plans): array
    {
        foreach ($plans as $item => $plan) {
            if (!$wanted[$item]->item->isStock) {
                $deeper = $this->items->plan($wanted[$item], $this->base, ItemPlanner::EFFORT, $plan);
                $plans[$item] = $deeper->cost < $plan->cost ? $deeper : $plan;
            }
        }

        return $plans;
    }

    /**
     * @return array<string, array{int, int}> first and last week that became cheaper, as days, by place type
     */
    private function cheaper(RentSums $before, RentSums $now): array
    {
        $cheaper = [];
        foreach ($now->sums as $place => $sums) {
            foreach ($sums as $n => $sum) {
                if ($n > 0 && $sum - $sums[$n - 1] < $before->sums[$place][$n] - $before->sums[$place][$n - 1] - 1e-9) {
                    $cheaper[$place] = [$cheaper[$place][0] ?? $this->rooms->first + $n - 1, $this->rooms->first + $n - 1];
                }
            }
        }

        return $cheaper;
    }

    /**
     * Nothing it stands on became dearer and nothing it might stand on cheaper: what was best still is.
     *
     * @param array<string, array{int, int}> $cheaper
     */
    private function isUntouched(Wanted $wanted, ItemPlan $plan, RentSums $before, RentSums $now, array $cheaper): bool
    {
        foreach ($plan->successions as ['candidate' => $c, 'end' => $end]) {
            if (abs($now->between($c->place, $c->bedStart, $end) - $before->between($c->place, $c->bedStart, $end)) > 1e-6) {
                return false;
            }
        }
        foreach ([] === $cheaper ? [] : $wanted->candidates as $c) {
            [$from, $to] = $cheaper[$c->place->value] ?? [1, 0];
            if ($c->bedStart <= $to && $from <= $c->lastField) {
                return false;
            }
        }

        return true;
    }

    /**
     * What no plan can cost less than, as far as each item is planned at least cost: items at the rents, less what the beds
     * there are bring in above their base rents.
     *
     * @param array<string, ItemPlan>          $plans at base rents
     * @param array<string, array<int, float>> $rents
     */
    private function bound(array $plans, array $rents): float
    {
        $now = RentSums::fromWeeks($this->rooms->first, $rents);
        $sum = array_sum(array_map(fn (ItemPlan $plan): float => $plan->at($this->base, $now, $this->grid)->cost, $plans));
        foreach ($rents as $place => $weeks) {
            foreach ($weeks as $week => $rent) {
                $sum -= ($rent - $this->rents[$place][$week]) / 7 * array_sum(\array_slice($this->rooms->left()[$place], 7 * $week, 7));
            }
        }

        return $sum;
    }

    /**
     * What is still over-full grows dearer, and the items there are planned anew one after the other, those that earn least
     * first, until it fits: so the one gives way that does so most cheaply, and not all at once.
     *
     * @param array<string, Wanted>            $wanted
     * @param array<string, ItemPlan>          $plans  at base rents
     * @param array<string, array<int, float>> $rents
     *
     * @return array<string, ItemPlan> at base rents
     */
    private function eased(array $wanted, array $plans, array $rents, float $worth): array
    {
        $rooms = $this->with($plans);
        for ($time = 0; $time < self::EASED; ++$time) {
            $over = $rooms->tooMuch();
            if ([] === $over) {
                break;
            }
            $before = RentSums::fromWeeks($this->rooms->first, $rents);
            foreach ($over as $place => $days) {
                foreach (array_unique(array_map(static fn (int $day): int => intdiv($day, 7), array_keys($days))) as $week) {
                    $rents[$place][$week] += self::EASING * (1 + $time / 2) * $worth;
                }
            }
            $now = RentSums::fromWeeks($this->rooms->first, $rents);
            foreach ($this->using($plans, $over, $wanted) as $item) {
                $plan = $this->items->plan($wanted[$item], $now, ItemPlanner::EFFORT_AGAIN, $plans[$item]->at($this->base, $now, $this->grid))->at($now, $this->base, $this->grid);
                if ($plan->steps() !== $plans[$item]->steps()) {
                    $rooms->give($plans[$item]);
                    $rooms->take($plan);
                    $plans[$item] = $plan;
                    if ([] === $rooms->tooMuch()) {
                        break;
                    }
                }
            }
        }

        return $plans;
    }

    /**
     * Items that stand in what is over-full, those that earn least there first.
     *
     * @param array<string, ItemPlan>          $plans
     * @param array<string, array<int, float>> $over
     * @param array<string, Wanted>            $wanted
     *
     * @return list<string>
     */
    private function using(array $plans, array $over, array $wanted): array
    {
        $earns = [];
        foreach ($plans as $item => $plan) {
            foreach ($plan->successions as ['candidate' => $c, 'end' => $end]) {
                foreach ($over[$c->place->value] ?? [] as $day => $_) {
                    if ($c->bedStart <= $day + $this->rooms->first && $day + $this->rooms->first <= $end) {
                        $earns[$item] = min($earns[$item] ?? \INF, $wanted[$item]->item->penalty * $c->perMetre / max(7, $end - $c->bedStart));
                        break;
                    }
                }
            }
        }
        asort($earns);

        return array_map(strval(...), array_keys($earns));
    }

    /**
     * What a bed metre earns in a week: the middle one of the items.
     *
     * @param array<string, Wanted> $wanted
     */
    private function worth(array $wanted): float
    {
        $worths = [];
        foreach ($wanted as $one) {
            $best = array_map(static fn (Candidate $c): float => ($one->item->penalty * $c->perMetre - $c->cost) * 7 / max(7, ([] === $c->curve ? $c->ready : $c->lastField) - $c->bedStart), $one->candidates);
            $worths[] = max([0.0, ...$best]);
        }
        sort($worths);

        return $worths[intdiv(\count($worths), 2)] ?? 0.0;
    }

    /**
     * A plan that fits: the successions that earn most by metre and day first, each as long as there is room; then every
     * item anew at true cost inside what is left.
     *
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     *
     * @return array<string, ItemPlan>
     */
    private function fitted(array $wanted, array $plans, int $sweeps): array
    {
        $rooms = clone $this->rooms;
        $fitted = $this->admitted($wanted, $plans, $rooms);
        $order = array_keys($fitted);
        for ($sweep = 0; $sweep <= $sweeps; ++$sweep) {
            $better = false;
            usort($order, static fn (string $a, string $b): int => [$fitted[$b]->short * $wanted[$b]->item->penalty, $a] <=> [$fitted[$a]->short * $wanted[$a]->item->penalty, $b]);
            foreach ($order as $item) {
                $was = $fitted[$item];
                $rooms->give($was);
                $now = $this->items->plan($wanted[$item], $this->base, ItemPlanner::EFFORT_AGAIN, $was, $rooms);
                $isBetter = $now->cost < $was->cost - 1e-6 * (1 + abs($now->cost));
                $fitted[$item] = $isBetter ? $now : $was;
                $better = $better || $isBetter;
                $rooms->take($fitted[$item]);
            }
            if (!$better) {
                break;
            }
        }

        return $fitted;
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     *
     * @return array<string, ItemPlan> what was cut short costs INF, until it is planned anew
     */
    private function admitted(array $wanted, array $plans, Rooms $rooms): array
    {
        $all = [];
        foreach ($plans as $item => $plan) {
            foreach ($plan->successions as $one) {
                $c = $one['candidate'];
                $all[] = [($wanted[$item]->item->penalty * $c->perMetre - $c->cost - $c->setUp / max(0.1, $one['steps'] * $this->grid->step($c) / 1000)) / max(7, $one['end'] - $c->bedStart), $item, $one];
            }
        }
        usort($all, static fn (array $a, array $b): int => [$b[0], $a[2]['candidate']->key()] <=> [$a[0], $b[2]['candidate']->key()]);
        $kept = array_map(static fn (): array => [], $plans);
        $cut = [];
        foreach ($all as [, $item, $one]) {
            $c = $one['candidate'];
            $steps = min($one['steps'], (int) floor(($rooms->most($c->place, $c->bedStart, $one['end']) * 1000 + 1) / $this->grid->step($c)));
            $cut[$item] = ($cut[$item] ?? false) || $steps < $one['steps'];
            if ($steps > 0) {
                $one['steps'] = $steps;
                $kept[$item][] = $one;
                $rooms->take(new ItemPlan([$one], 0.0));
            }
        }
        $fitted = [];
        foreach ($plans as $item => $plan) {
            $fitted[$item] = ($cut[$item] ?? false) ? new ItemPlan($kept[$item], \INF) : $plan;
        }

        return $fitted;
    }

    /**
     * Metres above what there is, by place type and day.
     *
     * @param array<string, ItemPlan> $plans
     *
     * @return array<string, array<int, float>>
     */
    private function tooMuch(array $plans): array
    {
        return $this->with($plans)->tooMuch();
    }

    /** @param array<string, ItemPlan> $plans */
    private function with(array $plans): Rooms
    {
        $rooms = clone $this->rooms;
        array_map($rooms->take(...), $plans);

        return $rooms;
    }
}
