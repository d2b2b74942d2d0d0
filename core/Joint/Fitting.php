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
 * Plans that fit: what is still over-full is eased by dearer rents, the rest cut, every item planned anew at true cost
 * inside what is left; two items may trade places.
 */
final class Fitting
{
    private const SWEEPS = 2;
    /** Items that miss most by their place are planned anew with others. */
    private const TRADERS = 8;
    /** Times the rents of what is still over-full are raised, item by item, before a plan is cut to fit. */
    private const EASED = 10;
    private const EASING = 0.15;

    private readonly RentSums $base;

    /**
     * @param array<string, array<int, float>> $rents  base rents by place type and week
     * @param \Closure(): bool                 $goesOn asked before every item; false: it ends with what there is
     */
    public function __construct(private readonly ItemPlanner $items, private readonly Grid $grid, private readonly Rooms $rooms,
        private readonly array $rents, private readonly int $effort, private readonly \Closure $goesOn)
    {
        $this->base = RentSums::fromWeeks($rooms->first, $rents);
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
    public function eased(array $wanted, array $plans, array $rents, float $worth): array
    {
        $rooms = $this->rooms->with($plans);
        for ($time = 0; $time < self::EASED; ++$time) {
            $over = $rooms->tooMuch();
            if ([] === $over) {
                break;
            }
            foreach ($over as $place => $days) {
                foreach (array_unique(array_map(static fn (int $day): int => intdiv($day, 7), array_keys($days))) as $week) {
                    $rents[$place][$week] += self::EASING * (1 + $time / 2) * $worth;
                }
            }
            $now = RentSums::fromWeeks($this->rooms->first, $rents);
            foreach ($this->using($plans, $over, $wanted) as $item) {
                if (!($this->goesOn)()) {
                    return $plans;
                }
                $plan = $this->items->plan($wanted[$item], $now, $this->effort, $plans[$item]->at($this->base, $now,
                    $this->grid))->at($now, $this->base, $this->grid);
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
     * A plan that fits: the successions that earn most by metre and day first, each as long as there is room; then every
     * item anew at true cost inside what is left.
     *
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans
     *
     * @return array<string, ItemPlan>
     */
    public function fitted(array $wanted, array $plans, ?RentSums $rents): array
    {
        $rooms = clone $this->rooms;
        $fitted = $this->admitted($wanted, $plans, $rooms);
        $order = array_keys($fitted);
        for ($sweep = 0; $sweep <= (null === $rents ? 0 : self::SWEEPS); ++$sweep) {
            $better = false;
            usort($order, static fn (string $a, string $b): int => [$fitted[$b]->short * $wanted[$b]->item->penalty,
                $a] <=> [$fitted[$a]->short * $wanted[$a]->item->penalty, $b]);
            foreach ($order as $item) {
                if ($sweep > 0 && !($this->goesOn)()) {
                    return $fitted;
                }
                $was = $fitted[$item];
                $rooms->give($was);
                $at = 0 === $sweep && null !== $rents ? $rents : $this->base;
                $now = $this->items->plan($wanted[$item], $at, $this->effort, $was, $rooms);
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
     * Two items give up their beds together: the one that misses most by its place has the first choice, at the rents, then
     * the other, then the first again at true cost. Kept where both together cost less.
     *
     * @param array<string, Wanted>   $wanted
     * @param array<string, ItemPlan> $plans  at base rents
     *
     * @return array<string, ItemPlan>
     */
    public function traded(array $wanted, array $plans, RentSums $rents, int $left): array
    {
        $rooms = $this->rooms->with($plans);
        $misses = [];
        foreach ($wanted as $item => $one) {
            $alone = $this->items->plan($one, $rents, $this->effort, $plans[$item]->at($this->base, $rents, $this->grid));
            $misses[$item] = $plans[$item]->at($this->base, $rents, $this->grid)->cost - $alone->cost;
        }
        arsort($misses);
        $order = array_map(strval(...), array_keys($misses));
        foreach (\array_slice($order, 0, self::TRADERS) as $item) {
            foreach ($order as $other) {
                if ($other === $item) {
                    continue;
                }
                if ($left-- <= 0 || !($this->goesOn)()) {
                    return $plans;
                }
                [$one, $two] = [$plans[$item], $plans[$other]];
                $rooms->give($one);
                $rooms->give($two);
                $first = $this->items->plan($wanted[$item], $rents, $this->effort, $one, $rooms)->at($rents, $this->base, $this->grid);
                $rooms->take($first);
                $second = $this->items->plan($wanted[$other], $this->base, $this->effort, $two, $rooms);
                $rooms->take($second);
                $rooms->give($first);
                $again = $this->items->plan($wanted[$item], $this->base, $this->effort, $first, $rooms);
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
                        $earns[$item] = min($earns[$item] ?? \INF, $wanted[$item]->item->penalty * $c->perMetre / max(7,
                            $end - $c->bedStart));
                        break;
                    }
                }
            }
        }
        asort($earns);

        return array_map(strval(...), array_keys($earns));
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
                $all[] = [($wanted[$item]->item->penalty * $c->perMetre - $c->cost - $c->setUp / max(0.1,
                    $one['steps'] * $this->grid->metres($c))) / max(7, $one['end'] - $c->bedStart), $item, $one];
            }
        }
        usort($all, static fn (array $a, array $b): int => [$b[0], $a[2]['candidate']->key()] <=> [$a[0], $b[2]['candidate']->key()]);
        $kept = array_map(static fn (): array => [], $plans);
        $cut = [];
        foreach ($all as [, $item, $one]) {
            $c = $one['candidate'];
            $steps = min($one['steps'], $this->grid->steps($c, $rooms->most($c->place, $c->bedStart, $one['end'])));
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
}
