<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Plan\Kernel\KnownPlans;

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
    private const FIRST_EFFORT = 2600;
    /** First step, in shares of what a bed metre earns a week, and how it decays. */
    private const STEP = 1.0;
    private const DECAY = 1.0;
    private const BACK = 0.5;
    /** What a metre and day too many weighs in the choice of known plans, in shares of what it earns. */
    private const OVER = [0.5, 1.5];
    /** It ends when so many rounds have raised the bound by less than this share. */
    private const STALL = 3;
    private const LEAST_GAIN = 0.0006;
    /** Steps up between two rounds. */
    private const CLIMB = 25;
    /** Rounds a fitting plan is made from. */
    private const REPAIRED = 3;
    private const SWEEPS = 2;
    /** Items that miss most by their place are planned anew with others: so often in all, and more where the beds are shorter by so many weeks of the whole garden. */
    private const TRADERS = 8;
    private const TRADES = 4;
    private const TRADES_A_WEEK = 25;
    private const MOST_TRADES = 90;
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
        $shortBy = self::metreDays($this->tooMuch($plans)) / max(1.0, $this->metreDaysAWeek());
        [$rounds, $isStopped] = $this->rounds($wanted, $plans, $progress, $steps);
        usort($rounds, static fn (array $a, array $b): int => $b['bound'] <=> $a['bound']);
        $highest = $rounds[0];
        usort($rounds, static fn (array $a, array $b): int => $a['over'] <=> $b['over']);
        $best = new JointPlan($plans, $highest['rents'], true);
        $lowest = \INF;
        $worth = $this->worth($wanted);
        foreach (\array_slice($rounds, 0, $isStopped ? 1 : ($shortBy < 1 ? self::REPAIRED - 1 : self::REPAIRED)) as $round) {
            $eased = $isStopped ? $round['plans'] : $this->eased($wanted, $round['plans'], $round['rents'], $worth);
            $fitted = new JointPlan($this->fitted($wanted, $eased, $isStopped ? 0 : self::SWEEPS, RentSums::fromWeeks($this->rooms->first, $highest['rents'])), $highest['rents'], true);
            if ($fitted->cost() < $lowest - 1e-6) {
                [$best, $lowest] = [$fitted, $fitted->cost()];
            }
        }

        return $isStopped ? $best : new JointPlan($this->traded($wanted, $best->plans, RentSums::fromWeeks($this->rooms->first, $highest['rents']), (int) min(self::MOST_TRADES, self::TRADES + self::TRADES_A_WEEK * $shortBy)), $highest['rents'], true);
    }

    /**
     * Two items give up their beds together: the one that misses most by its place has the first choice, at the rents, then
     * the other, then the first again at true cost. Kept where both together cost less.
     *
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans  at base rents
     *
     * @return array<string, ItemPlan>
     */
    private function traded(array $wanted, array $plans, RentSums $rents, int $left): array
    {
        $rooms = $this->with($plans);
        $misses = [];
        foreach ($wanted as $item => $one) {
            $alone = $this->items->plan($one, $rents, ItemPlanner::EFFORT_AGAIN, $plans[$item]->at($this->base, $rents, $this->grid));
            $misses[$item] = $plans[$item]->at($this->base, $rents, $this->grid)->cost - $alone->cost;
        }
        arsort($misses);
        $order = array_map(strval(...), array_keys($misses));
        foreach (\array_slice($order, 0, self::TRADERS) as $item) {
            foreach ($order as $other) {
                if ($other === $item || $left-- <= 0) {
                    continue;
                }
                [$one, $two] = [$plans[$item], $plans[$other]];
                $rooms->give($one);
                $rooms->give($two);
                $first = $this->items->plan($wanted[$item], $rents, ItemPlanner::EFFORT_AGAIN, $one, $rooms)->at($rents, $this->base, $this->grid);
                $rooms->take($first);
                $second = $this->items->plan($wanted[$other], $this->base, ItemPlanner::EFFORT_AGAIN, $two, $rooms);
                $rooms->take($second);
                $rooms->give($first);
                $again = $this->items->plan($wanted[$item], $this->base, ItemPlanner::EFFORT_AGAIN, $first, $rooms);
                $first = $again->cost < $first->cost ? $again : $first;
                if ($first->cost + $second->cost < $one->cost + $two->cost - 1e-6) {
                    [$plans[$item], $plans[$other]] = [$first, $second];
                } else {
                    $rooms->give($second);
                    $rooms->take($two);
                    $first = $one;
                }
                $rooms->take($first);
            }
        }

        return $plans;
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans  at base rents
     *
     * Where a step leads to a lower bound, it is taken back and a smaller one tried
     *
     * @return array{non-empty-list<array{plans: array<string, ItemPlan>, rents: array<string, array<int, float>>, over: float, bound: float}>, bool} rounds, plans at base rents; stopped early
     */
    private function rounds(array $wanted, array $plans, Progress $progress, int $steps): array
    {
        $step = self::STEP * $this->worth($wanted) / 7;
        $pool = new KnownPlans(...$this->room());
        $items = array_keys($wanted);
        $known = array_map(static fn (ItemPlan $plan): array => [$plan], $plans);
        foreach ($items as $i => $item) {
            $pool->add($i, $plans[$item]->cost, ...$this->weeks($plans[$item]));
        }
        $best = $this->rents;
        $bounds = [];
        $rounds = [['plans' => $plans, 'rents' => $best, 'over' => self::metreDays($this->tooMuch($plans))]];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            if (!$progress->at($steps - self::ROUNDS + $round, $steps, '')) {
                return [array_map(static fn (array $round): array => $round + ['bound' => -$round['over']], $rounds), true];
            }
            $rents = $this->weekly($pool->climbed($this->flat($best), self::CLIMB, $step));
            $now = RentSums::fromWeeks($this->rooms->first, $rents);
            $isNew = false;
            foreach ($items as $i => $item) {
                $was = $this->cheapest($known[$item], $now);
                $plan = $this->items->plan($wanted[$item], $now, ItemPlanner::EFFORT_AGAIN, $was->at($this->base, $now, $this->grid))->at($now, $this->base, $this->grid);
                if ($plan->steps() !== $was->steps()) {
                    $known[$item][] = $plan;
                    $pool->add($i, $plan->cost, ...$this->weeks($plan));
                    $isNew = true;
                }
                $plans[$item] = $this->cheapest($known[$item], $now);
            }
            $rounds[] = ['plans' => $plans, 'rents' => $rents, 'over' => self::metreDays($this->tooMuch($plans))];
            $isBetter = $this->boundOf($known, $rents) > $this->boundOf($known, $best);
            $step *= $isBetter ? self::DECAY : self::BACK;
            $best = $isBetter ? $rents : $best;
            $bounds[] = $this->boundOf($known, $best);
            if ((!$isNew && !$isBetter) || ($round > self::STALL && end($bounds) - $bounds[$round - self::STALL] < self::LEAST_GAIN * abs(end($bounds)))) {
                break;
            }
        }
        $cheapest = array_map(fn (string $item): int => (int) array_search($this->cheapest($known[$item], RentSums::fromWeeks($this->rooms->first, $best)), $known[$item], true), $items);
        foreach (self::OVER as $n => $times) {
            $picked = [];
            foreach ($pool->chosen($cheapest, $times * $this->worth($wanted) / 7) as $i => $plan) {
                $picked[$items[$i]] = $known[$items[$i]][$plan];
            }
            $rounds[] = ['plans' => $picked, 'rents' => $best, 'over' => (float) $n - \count(self::OVER)];
        }

        return [array_map(fn (array $round): array => $round + ['bound' => $this->boundOf($known, $round['rents'])], $rounds), false];
    }

    /**
     * @param array<string, non-empty-list<ItemPlan>> $known at base rents
     * @param array<string, array<int, float>>        $rents
     */
    private function boundOf(array $known, array $rents): float
    {
        $now = RentSums::fromWeeks($this->rooms->first, $rents);

        return $this->bound(array_map(fn (array $plans): ItemPlan => $this->cheapest($plans, $now), $known), $rents);
    }

    /** @return array{list<float>, list<float>} metre-days, and metres on the fullest day, by week of each place in turn */
    private function room(): array
    {
        $room = $most = [];
        foreach ($this->rents as $place => $weeks) {
            foreach ($weeks as $week => $_) {
                $days = \array_slice($this->rooms->left()[$place], 7 * $week, 7);
                $room[] = array_sum($days);
                $most[] = min([\PHP_INT_MAX, ...$days]);
            }
        }

        return [$room, array_map(floatval(...), $most)];
    }

    /** @return array{array<int, float>, array<int, float>} metre-days, and most metres on a day, by week of each place in turn */
    private function weeks(ItemPlan $plan): array
    {
        $count = max([0, ...array_map(\count(...), $this->rents)]);
        $places = array_flip(array_keys($this->rents));
        $days = [];
        foreach ($plan->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
            $metres = $steps * $this->grid->step($c) / 1000;
            for ($day = max(0, $c->bedStart - $this->rooms->first); $day <= min(7 * $count - 1, $end - $this->rooms->first); ++$day) {
                $days[$places[$c->place->value] * $count + intdiv($day, 7)][$day] = ($days[$places[$c->place->value] * $count + intdiv($day, 7)][$day] ?? 0.0) + $metres;
            }
        }

        return [array_map(array_sum(...), $days), array_map(static fn (array $week): float => max([0.0, ...$week]), $days)];
    }

    /**
     * @param array<string, array<int, float>> $rents
     *
     * @return array<int, float> above the base rents, a metre and day, by week of each place in turn
     */
    private function flat(array $rents): array
    {
        $flat = [];
        foreach ($rents as $place => $weeks) {
            foreach ($weeks as $week => $rent) {
                $flat[] = ($rent - $this->rents[$place][$week]) / 7;
            }
        }

        return $flat;
    }

    /**
     * @param array<int, float> $flat
     *
     * @return array<string, array<int, float>>
     */
    private function weekly(array $flat): array
    {
        $rents = $this->rents;
        $n = 0;
        foreach ($rents as $place => $weeks) {
            foreach ($weeks as $week => $rent) {
                $rents[$place][$week] = $rent + 7 * $flat[$n++];
            }
        }

        return $rents;
    }

    /**
     * Of the plans of one item that are known the one that costs least at some rents.
     *
     * @param non-empty-list<ItemPlan> $known at base rents
     */
    private function cheapest(array $known, RentSums $rents): ItemPlan
    {
        $least = \INF;
        $cheapest = $known[0];
        foreach ($known as $plan) {
            $cost = $plan->at($this->base, $rents, $this->grid)->cost;
            if ($cost < $least) {
                [$least, $cheapest] = [$cost, $plan];
            }
        }

        return $cheapest;
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
    private function fitted(array $wanted, array $plans, int $sweeps, ?RentSums $rents = null): array
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
                $at = 0 === $sweep && null !== $rents ? $rents : $this->base;
                $now = $this->items->plan($wanted[$item], $at, ItemPlanner::EFFORT_AGAIN, $was, $rooms);
                $isBetter = $now->cost < $was->at($this->base, $at, $this->grid)->cost - 1e-6 * (1 + abs($now->cost));
                $now = $now->at($at, $this->base, $this->grid);
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

    private function metreDaysAWeek(): float
    {
        return array_sum(array_map(static fn (array $line): float => array_sum(\array_slice($line, 0, 7)), $this->rooms->left()));
    }

    /** @param array<string, array<int, float>> $over */
    private static function metreDays(array $over): float
    {
        return array_sum(array_map(array_sum(...), $over));
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
