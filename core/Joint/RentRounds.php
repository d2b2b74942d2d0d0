<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlan;
use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\Kernel\KnownPlans;
use JollyFurrow\Succession\RentSums;
use JollyFurrow\Succession\Rooms;
use JollyFurrow\Succession\Wanted;
use JollyFurrow\Ways\Candidate;

/**
 * Rents that make the beds dear in the weeks they are short: each round climbs on the plans known so far, plans every item
 * anew at what that leads to, and keeps it if the bound rises (column generation, Dantzig & Wolfe 1960; a smaller step
 * where it does not).
 */
final class RentRounds
{
    public const ROUNDS = 14;
    /**
     * First step, in shares of what a bed metre earns; what becomes of it after a round that raised the bound, and after
     * one that did not.
     */
    private const STEP = 1.0;
    private const DECAY = 1.0;
    private const BACK = 0.5;
    /** What a metre and day too many weighs in the choice of known plans, in shares of what it earns. */
    private const OVER = [0.3, 0.7, 1.5, 3.0];
    /** It ends when so many rounds have raised the bound by less than this share. */
    private const STALL = 3;
    private const LEAST_GAIN = 0.0006;
    /** Steps up between two rounds. */
    private const CLIMB = 25;

    private readonly RentSums $base;

    /** @param array<string, array<int, float>> $rents base rents by place type and week */
    public function __construct(private readonly ItemPlanner $items, private readonly Grid $grid, private readonly Rooms $rooms,
        private readonly array $rents, private readonly int $effort)
    {
        $this->base = RentSums::fromWeeks($rooms->first, $rents);
    }

    /**
     * Where a step leads to a lower bound, it is taken back and a smaller one tried.
     *
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans  at base rents
     *
     * @return array{non-empty-list<array{plans: array<string, ItemPlan>, rents: array<string, array<int, float>>, over: float, bound: float}>, bool} rounds, plans at base rents; stopped early
     */
    public function rounds(array $wanted, array $plans, Progress $progress, int $done, int $steps): array
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
        $rounds = [['plans' => $plans, 'rents' => $best, 'over' => $this->rooms->with($plans)->metreDaysTooMany()]];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            if (!$progress->at($done + $round, $steps, '')) {
                return [array_map(static fn (array $round): array => $round + ['bound' => -$round['over']], $rounds), true];
            }
            $rents = $this->weekly($pool->climbed($this->flat($best), self::CLIMB, $step));
            $now = RentSums::fromWeeks($this->rooms->first, $rents);
            $isNew = false;
            foreach ($items as $i => $item) {
                $was = $this->cheapest($known[$item], $now);
                $plan = $this->items->plan($wanted[$item], $now, $this->effort, $was->at($this->base, $now, $this->grid))->at($now,
                    $this->base, $this->grid);
                if ($plan->steps() !== $was->steps()) {
                    $known[$item][] = $plan;
                    $pool->add($i, $plan->cost, ...$this->weeks($plan));
                    $isNew = true;
                }
                $plans[$item] = $this->cheapest($known[$item], $now);
            }
            $rounds[] = ['plans' => $plans, 'rents' => $rents, 'over' => $this->rooms->with($plans)->metreDaysTooMany()];
            $isBetter = $this->boundOf($known, $rents) > $this->boundOf($known, $best);
            $step *= $isBetter ? self::DECAY : self::BACK;
            $best = $isBetter ? $rents : $best;
            $bounds[] = $this->boundOf($known, $best);
            if ((!$isNew && !$isBetter) || ($round > self::STALL
                && end($bounds) - $bounds[$round - self::STALL] < self::LEAST_GAIN * abs(end($bounds)))) {
                break;
            }
        }
        $cheapest = array_map(fn (string $item): int => (int) array_search($this->cheapest($known[$item],
            RentSums::fromWeeks($this->rooms->first, $best)), $known[$item], true), $items);
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
     * What a bed metre earns in a week: the middle one of the items.
     *
     * @param array<string, Wanted> $wanted
     */
    public function worth(array $wanted): float
    {
        $worths = [];
        foreach ($wanted as $one) {
            $best = array_map(static fn (Candidate $c): float => ($one->item->penalty * $c->perMetre - $c->cost) * 7 / max(7,
                ([] === $c->curve ? $c->ready : $c->lastField) - $c->bedStart), $one->candidates);
            $worths[] = max([0.0, ...$best]);
        }
        sort($worths);

        return $worths[intdiv(\count($worths), 2)] ?? 0.0;
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
            $metres = $steps * $this->grid->metres($c);
            for ($day = max(0, $c->bedStart - $this->rooms->first); $day <= min(7 * $count - 1, $end - $this->rooms->first); ++$day) {
                $days[$places[$c->place->value] * $count + intdiv($day,
                    7)][$day] = ($days[$places[$c->place->value] * $count + intdiv($day, 7)][$day] ?? 0.0) + $metres;
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
}
