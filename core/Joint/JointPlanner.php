<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlan;
use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\RentSums;
use JollyFurrow\Succession\Rooms;
use JollyFurrow\Succession\Wanted;

/**
 * All items together where beds are short. Each item is planned alone at the same rents; rents of over-full weeks rise
 * (a Lagrangian relaxation of the bed metres). From several sets of plans met on the way one is made that fits, and the
 * cheapest of these is the answer.
 */
final readonly class JointPlanner
{
    /** Valuations an item gets before it is known whether the beds are short. */
    private const FIRST_EFFORT = 2200;
    /** Sets of plans a fitting one is made from, where the beds are much too short; fewer in a garden of more items. */
    private const REPAIRED = 5;
    private const REPAIRED_LEAST = 2;
    private const ITEMS_REPAIRED = 150;
    /** Items that get the full effort each; more of them share it. */
    private const ITEMS_IN_FULL = 30;
    /** Trades of places, and more where the beds are shorter by so many weeks of the whole garden. */
    private const TRADES = 2;
    private const TRADES_A_WEEK = 25;
    private const MOST_TRADES = 90;

    private RentSums $base;

    /** @param array<string, array<int, float>> $rents base rents by place type and week */
    public function __construct(private ItemPlanner $items, private Grid $grid, private Rooms $rooms, private array $rents)
    {
        $this->base = RentSums::fromWeeks($rooms->first, $rents);
    }

    /**
     * Asked to stop, it answers with the best so far: a plan that fits of all items reached.
     *
     * @param array<string, Wanted> $wanted by item
     */
    public function draw(array $wanted, Progress $progress = new NoProgress()): JointPlan
    {
        $steps = \count($wanted) + RentRounds::ROUNDS + self::REPAIRED;
        $plans = [];
        foreach ($wanted as $item => $one) {
            if (!$progress->at(\count($plans), $steps, $item)) {
                return new JointPlan($this->fitting(ItemPlanner::EFFORT_AGAIN, static fn (): bool => false)->fitted($wanted, $plans,
                    null), $this->rents, false);
            }
            $plans[$item] = $this->items->plan($one, $this->base, self::FIRST_EFFORT);
        }
        if ($this->fits($plans)) {
            $plans = $this->deepened($wanted, $plans, static fn (): bool => $progress->at(\count($wanted), $steps, ''));
        }

        return $this->fits($plans) ? new JointPlan($plans, $this->rents, true) : $this->short($wanted, $plans, $progress, $steps);
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     */
    private function short(array $wanted, array $plans, Progress $progress, int $steps): JointPlan
    {
        $weeks = $this->rooms->with($plans)->metreDaysTooMany() / max(1.0, $this->rooms->metreDaysAWeek());
        $effort = $weeks < 1 ? ItemPlanner::EFFORT_AGAIN
            : intdiv(ItemPlanner::EFFORT_SHORT * self::ITEMS_IN_FULL, max(self::ITEMS_IN_FULL, \count($wanted)));
        $rounds = new RentRounds($this->items, $this->grid, $this->rooms, $this->rents, $effort);
        [$met, $isStopped] = $rounds->rounds($wanted, $plans, $progress, \count($wanted), $steps);
        usort($met, static fn (array $a, array $b): int => $b['bound'] <=> $a['bound']);
        $rents = $met[0]['rents'];
        usort($met, static fn (array $a, array $b): int => $a['over'] <=> $b['over']);
        $done = \count($wanted) + RentRounds::ROUNDS;
        $fitting = $this->fitting($effort, static function () use ($progress, &$done, $steps): bool {
            return $progress->at($done, $steps, '');
        });
        $at = RentSums::fromWeeks($this->rooms->first, $rents);
        $best = null;
        $repaired = $weeks < 1 ? self::REPAIRED_LEAST
            : max(self::REPAIRED_LEAST, min(self::REPAIRED, intdiv(self::ITEMS_REPAIRED, \count($wanted))));
        foreach (\array_slice($met, 0, $repaired) as $round) {
            $isStopped = $isStopped || (null !== $best && !$progress->at($done, $steps, ''));
            if (null !== $best && $isStopped) {
                break;
            }
            $eased = $isStopped ? $round['plans'] : $fitting->eased($wanted, $round['plans'], $round['rents'], $rounds->worth($wanted));
            $fitted = new JointPlan($fitting->fitted($wanted, $eased, $isStopped ? null : $at), $rents, true);
            $best = null === $best || $fitted->cost() < $best->cost() - 1e-6 ? $fitted : $best;
            ++$done;
        }
        $trades = (int) min(self::MOST_TRADES, self::TRADES + self::TRADES_A_WEEK * $weeks);

        return $isStopped ? $best : new JointPlan($fitting->traded($wanted, $best->plans, $at, $trades), $rents, true);
    }

    /** @param \Closure(): bool $goesOn */
    private function fitting(int $effort, \Closure $goesOn): Fitting
    {
        return new Fitting($this->items, $this->grid, $this->rooms, $this->rents, $effort, $goesOn);
    }

    /** @param array<string, ItemPlan> $plans */
    private function fits(array $plans): bool
    {
        return [] === $this->rooms->with($plans)->tooMuch();
    }

    /**
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     * @param \Closure(): bool        $goesOn
     *
     * @return array<string, ItemPlan> with all the effort an item may be given
     */
    private function deepened(array $wanted, array $plans, \Closure $goesOn): array
    {
        foreach ($plans as $item => $plan) {
            if (!$wanted[$item]->item->isStock && $goesOn()) {
                $deeper = $this->items->plan($wanted[$item], $this->base, ItemPlanner::EFFORT, $plan);
                $plans[$item] = $deeper->cost < $plan->cost ? $deeper : $plan;
            }
        }

        return $plans;
    }
}
