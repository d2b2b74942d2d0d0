<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Need;
use JollyFurrow\Succession\Kernel\CoverProblem;
use JollyFurrow\Succession\Kernel\CoverSuccessions;
use JollyFurrow\Succession\Kernel\OnceProblem;
use JollyFurrow\Succession\Kernel\OnceSuccessions;
use JollyFurrow\Ways\Candidate;

/**
 * Sizes and dates the successions of one item against its needs at given rents: hands the numbers to the kernel and
 * reads its answer. Inside what is left of the beds, if that is given.
 */
final readonly class ItemPlanner
{
    /** Valuations the covering search may spend on one item. */
    public const EFFORT = 12000;
    /** The same where a plan is only adapted. */
    public const EFFORT_AGAIN = 600;
    /** The same where beds are much too short. */
    public const EFFORT_SHORT = 2500;
    /** The same when only some market days are left to serve. */
    public const EFFORT_FOR_THE_REST = 2600;
    /** Rounds of dearer days in which one item's own successions are kept from meeting. */
    private const OWN_ROUNDS = 4;

    /** @param array<string, float> $metres of beds by place type */
    public function __construct(private Grid $grid, private array $metres)
    {
    }

    /**
     * @param ItemPlan|null $before a plan to begin with
     * @param Rooms|null    $rooms  null: there is no end to the beds but their number
     */
    public function plan(Wanted $wanted, RentSums $rents, int $effort = self::EFFORT, ?ItemPlan $before = null,
        ?Rooms $rooms = null): ItemPlan
    {
        $needs = array_values(array_filter($wanted->needs, static fn (Need $need): bool => $need->units > 0));
        $candidates = null === $rooms ? $wanted->candidates : array_values(array_filter($wanted->candidates,
            fn (Candidate $c): bool => $rooms->most($c->place, $c->bedStart,
                [] === $c->curve ? $c->ready : $c->lastField) * Length::METRE >= $this->grid->step($c) - Length::MILLIMETRE));
        if ([] === $needs || [] === $candidates) {
            $short = array_sum(array_map(static fn (Need $n): int => $n->units, $needs));

            return new ItemPlan([], $short * $wanted->item->penalty, $short);
        }
        if (!$wanted->item->isStock) {
            return $this->cover($wanted->item, $needs, CandidateChoice::serving($candidates, $needs), $rents, $effort, $before, $rooms);
        }
        $all = [];
        $cost = 0.0;
        $short = 0;
        foreach (self::byReach($wanted->item, $needs) as $group) {
            $chosen = $this->chosen($candidates, $group, $rents);
            $plan = null === $rooms ? $this->once($wanted->item, $group, $chosen, $rents) : $this->onceInside($wanted->item, $group,
                $chosen, $rents, $rooms);
            $rooms?->take($plan);
            $all[] = $plan;
            $cost += $plan->cost;
            $short += $plan->short;
        }
        array_map(static fn (ItemPlan $plan) => $rooms?->give($plan), $all);

        return new ItemPlan(array_merge(...array_map(static fn (ItemPlan $p): array => $p->successions, $all)), $cost, $short);
    }

    /**
     * Goods that keep in store are planned apart for outlets that take them stored and for those that want them fresh:
     * a market day in winter that wants them fresh would otherwise end the run of days a succession can serve.
     *
     * @param list<Need> $needs
     *
     * @return non-empty-list<list<Need>>
     */
    private static function byReach(Item $item, array $needs): array
    {
        $groups = [];
        foreach ($needs as $need) {
            $groups[$item->isStored ? $need->reach : 0][] = $need;
        }
        krsort($groups);

        return [] === $groups ? [$needs] : array_values($groups);
    }

    /**
     * @param list<Candidate> $candidates
     * @param list<Need>      $needs
     *
     * @return list<Candidate>
     */
    private function chosen(array $candidates, array $needs, RentSums $rents): array
    {
        return (new CandidateChoice($rents))->of($candidates, $needs);
    }

    /**
     * Inside what is left: as long as a stay has room for on each of its days; where an item's own successions meet, those
     * days are made dearer and it is planned again, and what still has no room is cut short.
     *
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     */
    private function onceInside(Item $item, array $needs, array $candidates, RentSums $rents, Rooms $rooms): ItemPlan
    {
        $most = array_map(fn (Candidate $c): int => $this->grid->steps($c, $rooms->most($c->place, $c->bedStart, $c->ready)), $candidates);
        $best = new ItemPlan([], \INF);
        $own = $rents;
        for ($round = 0; $round < self::OWN_ROUNDS; ++$round) {
            $plan = $this->once($item, $needs, $candidates, $own, $most)->at($own, $rents, $this->grid);
            [$over, $cut] = $this->cutShort($plan, $rooms);
            if ([] === $over) {
                if (0 === $round) {
                    return $plan;
                }
                $best = $plan->cost < $best->cost ? $plan : $best;
                break;
            }
            $cost = $this->valued($item, $needs, $cut, $rents);
            $best = $cost->cost < $best->cost ? $cost : $best;
            $own = $own->dearer($over, $item->penalty);
        }
        foreach ($candidates as $k => $candidate) {
            if ($most[$k] > 0) {
                $alone = $this->valued($item, $needs,
                    new ItemPlan([['candidate' => $candidate, 'steps' => $most[$k], 'end' => $candidate->ready]], \INF), $rents);
                $best = $alone->cost < $best->cost ? $alone : $best;
            }
        }

        return $best;
    }

    /**
     * @return array{array<string, array<int, float>>, ItemPlan} metres too many by place and day, at most those there are; the plan without them
     */
    private function cutShort(ItemPlan $plan, Rooms $rooms): array
    {
        $over = [];
        $kept = [];
        $inside = new Rooms($rooms->first, $rooms->left(), $this->grid);
        $successions = $plan->successions;
        usort($successions, static fn (array $a, array $b): int => [$a['end'] - $a['candidate']->bedStart,
            $a['candidate']->key()] <=> [$b['end'] - $b['candidate']->bedStart, $b['candidate']->key()]);
        foreach ($successions as $one) {
            $c = $one['candidate'];
            $most = $this->grid->steps($c, $inside->most($c->place, $c->bedStart, $one['end']));
            if ($most < $one['steps']) {
                $left = $inside->left()[$c->place->value];
                for ($day = $c->bedStart; $day <= $one['end']; ++$day) {
                    if ($this->grid->steps($c, $left[$day - $rooms->first] ?? 0.0) < $one['steps']) {
                        $over[$c->place->value][$day] = 1.0;
                    }
                }
            }
            if (min($most, $one['steps']) > 0) {
                $one['steps'] = min($most, $one['steps']);
                $kept[] = $one;
                $inside->take(new ItemPlan([$one], 0.0));
            }
        }
        usort($kept, static fn (array $a, array $b): int => [$a['candidate']->sow, $a['candidate']->key()] <=> [$b['candidate']->sow,
            $b['candidate']->key()]);

        return [$over, new ItemPlan($kept, \INF)];
    }

    /**
     * What a plan of a stock costs: each market day is served by the oldest that still serves it.
     *
     * @param list<Need> $needs
     */
    private function valued(Item $item, array $needs, ItemPlan $plan, RentSums $rents): ItemPlan
    {
        $base = $needs[0]->day;
        $cost = 0.0;
        $lots = [];
        foreach ($plan->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
            $metres = $steps * $this->grid->metres($c);
            $cost += $c->setUp + $metres * ($c->cost + $rents->between($c->place, $c->bedStart, $end));
            $lots[] = [$c->ready, $end, floor($c->perMetre / self::sound($item->weeklyLoss, $c->ready - $base) * $metres + 1e-9)];
        }
        usort($lots, static fn (array $a, array $b): int => [$a[1], $a[0]] <=> [$b[1], $b[0]]);
        $short = 0;
        foreach ($needs as $need) {
            $units = $whole = (int) ceil($need->units / self::sound($item->weeklyLoss, $need->day - $base) - 1e-9);
            foreach ($lots as $i => [$ready, $end, $left]) {
                $take = $ready <= $need->day && $need->day <= $end + $need->reach ? min($units, (int) $left) : 0;
                $lots[$i][2] -= $take;
                $units -= $take;
                $cost += $item->keeping * $take * ($need->day - $ready);
            }
            $cost += $item->penalty * $units;
            $short += $units;
        }

        return new ItemPlan($plan->successions, $cost, $short);
    }

    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     * @param list<int>|null  $most       steps by candidate
     */
    private function once(Item $item, array $needs, array $candidates, RentSums $rents, ?array $most = null): ItemPlan
    {
        $loss = $item->weeklyLoss;
        $base = $needs[0]->day;
        $problem = new OnceProblem(
            array_map(static fn (Need $n): int => $n->day, $needs),
            array_map(static fn (Need $n): int => (int) ceil($n->units / self::sound($loss, $n->day - $base) - 1e-9), $needs),
            array_map(static fn (Need $n): int => $n->reach, $needs),
            array_map(static fn (Candidate $c): string => $c->key(), $candidates),
            array_map(static fn (Candidate $c): int => $c->sow, $candidates),
            array_map(static fn (Candidate $c): int => $c->bedStart, $candidates),
            array_map(static fn (Candidate $c): int => $c->ready, $candidates),
            array_map(static fn (Candidate $c): int => $c->lastField, $candidates),
            array_map(static fn (Candidate $c): float => $c->perMetre / self::sound($loss, $c->ready - $base), $candidates),
            array_map(static fn (Candidate $c): float => $c->setUp, $candidates),
            array_map(static fn (Candidate $c): float => $c->cost, $candidates),
            array_map(static fn (Candidate $c): array => $rents->sums[$c->place->value], $candidates),
            $rents->first,
            array_map(fn (Candidate $c): float => $this->grid->metres($c), $candidates),
            1,
            $most ?? array_map($this->maxSteps(...), $candidates),
            $item->penalty,
            $item->keeping,
        );
        $solution = OnceSuccessions::solve($problem);

        return new ItemPlan(array_map(static fn (array $s): array => ['candidate' => $candidates[$s['candidate']],
            'steps' => $s['steps'], 'end' => $s['end']], $solution->plantings), $solution->cost, $solution->short);
    }

    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     */
    private function cover(Item $item, array $needs, array $candidates, RentSums $rents, int $effort, ?ItemPlan $before,
        ?Rooms $rooms): ItemPlan
    {
        $steps = null === $before ? [] : $before->steps();
        $start = [];
        foreach ([] === $steps ? [] : $candidates as $k => $candidate) {
            if (isset($steps[$candidate->key()])) {
                $start[$k] = $steps[$candidate->key()];
            }
        }
        $problem = new CoverProblem(
            array_map(static fn (Need $n): int => $n->day, $needs),
            array_map(static fn (Need $n): int => $n->units, $needs),
            array_map(static fn (Need $n): int => $n->reach, $needs),
            array_map(static fn (Candidate $c): array => $c->curve, $candidates),
            array_map(static fn (Candidate $c): float => $c->setUp, $candidates),
            array_map(static fn (Candidate $c): float => $c->cost + $rents->between($c->place, $c->bedStart, $c->lastField), $candidates),
            array_map(fn (Candidate $c): float => $this->grid->metres($c), $candidates),
            1,
            array_map($this->maxSteps(...), $candidates),
            $item->penalty,
            $effort,
            $start,
            $rooms?->for($candidates),
            $effort > self::EFFORT_SHORT,
            self::ways($candidates),
        );
        $solution = CoverSuccessions::solve($problem);

        return new ItemPlan(array_map(static fn (array $s): array => ['candidate' => $candidates[$s['candidate']],
            'steps' => $s['steps'], 'end' => $candidates[$s['candidate']]->lastField], $solution->plantings), $solution->cost,
            $solution->short);
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return list<int>
     */
    private static function ways(array $candidates): array
    {
        $numbers = [];

        return array_map(static function (Candidate $c) use (&$numbers): int {
            $way = $c->variety.'/'.$c->place->value.'/'.$c->method->value;

            return $numbers[$way] ??= \count($numbers);
        }, $candidates);
    }

    /** Share still sound after so many days in store. Need and supply are both counted in units sound on one date. */
    private static function sound(float $weeklyLoss, int $days): float
    {
        return $weeklyLoss > 0.0 ? (1 - $weeklyLoss) ** ($days / 7) : 1.0;
    }

    private function maxSteps(Candidate $candidate): int
    {
        return max(1, (int) floor(($this->metres[$candidate->place->value] ?? 0.0) / $this->grid->metres($candidate) + 1e-9));
    }
}
