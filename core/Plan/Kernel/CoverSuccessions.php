<?php

declare(strict_types=1);

namespace JollyFurrow\Plan\Kernel;

/**
 * Successions of an item that comes in cuts or is picked: a local search from a start that fills gap by gap and from
 * several even ones, with longer and shorter, shifts of one and of two neighbours, drop, add, two for one and one for
 * two; then a stretch of the season is emptied and filled anew, one after the other, until nothing helps or the effort
 * is spent. The same input gives the same result.
 *
 * A plan is the steps of each candidate; a move sets some of them. The supply of the plan at hand is kept by day, so that
 * a move is valued by what it changes.
 */
final class CoverSuccessions
{
    private const EPSILON = 1e-9;
    private const MOST_STARTS = 14;
    private const STARTS_FOLLOWED = 2;
    private const GAPS_TRIED = 5;
    /** Places in the row of the same way that are near. */
    private const SHIFTS = [-1, 1, -2, 2, -3, 3];
    /** The walk's heat at first, in set-ups, and the share of it at last. */
    private const HEAT = 1.0;
    private const COOL = 0.12;
    private const LAST = 400;

    private int $spent = 0;
    private int $seed = 20_260_302;
    private readonly int $first;
    /** @var list<int> nothing on any day */
    private readonly array $nothing;
    /** @var array<int, array<int, array<int, int>>> by candidate and steps: whole units by day from the first */
    private array $lots = [];
    /** @var list<int> first day of a candidate's curve, from the first */
    private array $opens = [];
    /** @var list<int> last day of it */
    private array $closes = [];
    private readonly int $reach;

    /** @var array<int, int> the plan at hand: steps by candidate */
    private array $plan = [];
    /** @var array<int, int> its supply by day */
    private array $supply;
    private float $fixed = 0.0;
    private float $cost = 0.0;
    /** @var list<int> needs of it that are short */
    private array $short = [];
    /** @var array<string, array<int, float>> metres it takes, by place and day */
    private array $taken = [];
    /** Metres of all its successions, whenever they stand. */
    private float $inAll = 0.0;
    /** @var list<float> metres free on all days of a candidate's stay */
    private array $most = [];

    /** @var array<int, list<int>> by candidate: the next ones grown the same way, before and after in turn; then the nearest grown another way */
    private array $near = [];

    private function __construct(private readonly CoverProblem $p)
    {
        $days = [];
        foreach ($p->curve as $curve) {
            $days[] = array_key_first($curve) ?? 0;
            $days[] = array_key_last($curve) ?? 0;
        }
        $this->reach = max([0, ...$p->needReach]);
        $this->first = min([\PHP_INT_MAX, ...$p->needDay, ...$days]) - $this->reach;
        $this->nothing = array_fill(0, max([0, ...$p->needDay, ...$days]) - $this->first + 1, 0);
        $this->supply = $this->nothing;
        foreach ($p->curve as $curve) {
            $this->opens[] = (array_key_first($curve) ?? 0) - $this->first;
            $this->closes[] = (array_key_last($curve) ?? 0) - $this->first;
        }
        $this->nearest();
        if (null !== $p->room) {
            $this->most = array_map($p->room->most(...), array_keys($p->curve));
        }
    }

    private function nearest(): void
    {
        $ways = [];
        foreach ($this->p->curve as $k => $curve) {
            $ways[$this->p->way[$k] ?? 0][] = $k;
        }
        foreach ($ways as $way => $own) {
            foreach ($own as $i => $k) {
                $near = [];
                foreach (self::SHIFTS as $by) {
                    if (isset($own[$i + $by])) {
                        $near[] = $own[$i + $by];
                    }
                }
                foreach ($ways as $other => $them) {
                    if ($other !== $way) {
                        $near = [...$near, ...$this->nearestTo($this->opens[$k], $them)];
                    }
                }
                $this->near[$k] = $near;
            }
        }
    }

    /**
     * Those two that open nearest to a day, the nearer first.
     *
     * @param list<int> $candidates
     *
     * @return list<int>
     */
    private function nearestTo(int $opens, array $candidates): array
    {
        $first = $second = null;
        $near = $far = \PHP_INT_MAX;
        foreach ($candidates as $k) {
            $apart = abs($this->opens[$k] - $opens);
            if ($apart < $near) {
                [$second, $far, $first, $near] = [$first, $near, $k, $apart];
            } elseif ($apart < $far) {
                [$second, $far] = [$k, $apart];
            }
        }

        return null === $first ? [] : (null === $second ? [$first] : [$first, $second]);
    }

    public static function solve(CoverProblem $problem): CoverSolution
    {
        return (new self($problem))->run();
    }

    private function run(): CoverSolution
    {
        $this->become([]);
        $best = [];
        $bestCost = $this->cost;
        $search = function (int $limit) use (&$best, &$bestCost): void {
            $this->improve($limit);
            if ($this->cost < $bestCost - self::EPSILON * (1 + abs($bestCost))) {
                $bestCost = $this->cost;
                $best = $this->plan;
            }
        };
        $part = intdiv($this->p->effort, 10);
        if ([] !== $this->p->start) {
            $this->become(self::possible($this->p, $this->p->start));
            $this->makeRoom();
            $search($this->p->isBold ? $this->spent + 2 * $part : $this->p->effort);
        }
        if ([] === $this->p->start || $this->p->isBold) {
            $this->become([]);
            $this->fillGaps($this->p->effort);
            $search($this->spent + $part);
        }
        foreach ([] === $this->p->start ? $this->starts() : [] as $start) {
            $this->become($start);
            $this->makeRoom();
            $search($this->spent + $part);
        }
        $this->become($best);
        if ($this->p->isBold) {
            $this->walk((int) ($this->p->effort * 0.85));
            $search($this->p->effort + self::LAST);
            $this->become($best);
        }

        return new CoverSolution($this->cost, $this->shortUnits(), $this->listed(), $this->spent);
    }

    /**
     * A walk that takes steps for the worse as well, ever more seldom (simulated annealing, Kirkpatrick, Gelatt & Vecchi
     * 1983), by a fixed sequence of chance; then the best it came by is improved.
     */
    private function walk(int $until): void
    {
        if ([] === $this->p->curve || $this->spent >= $until) {
            return;
        }
        [$best, $bestCost] = [$this->plan, $this->cost];
        $heat = self::HEAT * array_sum($this->p->setUp) / \count($this->p->setUp);
        $cooling = self::COOL ** (1 / max(1, $until - $this->spent));
        while ($this->spent < $until) {
            $move = $this->anyMove();
            $spent = $this->spent;
            $cost = $this->valued($move);
            if (null !== $cost && ($cost < $this->cost || $this->chance() < exp(($this->cost - $cost) / $heat))) {
                $this->make($move);
                if ($this->cost < $bestCost - self::EPSILON * (1 + abs($bestCost))) {
                    [$best, $bestCost] = [$this->plan, $this->cost];
                }
            }
            $this->spent = $spent + 1;
            $heat *= $cooling;
        }
        $this->become($best);
    }

    /** @return array<int, int> */
    private function anyMove(): array
    {
        $count = \count($this->p->curve);
        $at = array_keys($this->plan);
        if ([] === $at || $this->chance() < 0.12) {
            $k = [] === $this->short ? (int) ($this->chance() * $count) : $this->serving($this->short[(int) ($this->chance() * \count($this->short))]);

            return [$k => ($this->plan[$k] ?? 0) + 1 + (int) ($this->chance() * 2)];
        }
        $i = (int) ($this->chance() * \count($at));
        $k = $at[$i];
        $steps = $this->plan[$k];
        $next = $at[$i + 1] ?? $at[0];
        $way = $this->chance();
        $near = $this->near[$k];
        $to = [] === $near ? $k : $near[(int) ($this->chance() * \count($near))];

        return match (true) {
            $way < 0.22 => [$k => max(0, $steps + ($this->chance() < 0.5 ? -1 : 1))],
            $way < 0.50 => $to === $k ? [$k => $steps + 1] : $this->shifted([$k => $to], [$k => (int) round(($this->chance() - 0.5) * max(2.9, $steps))]),
            $way < 0.60 => $next === $k || $to === $k ? [$k => 0] : $this->shifted([$k => $to, $next => $this->anyNear($next)]),
            $way < 0.72 => $next === $k ? [$k => $steps + 1] : [$k => max(0, $steps - 1), $next => $this->plan[$next] + 1],
            $way < 0.80 => $next === $k ? [$k => 0] : [$k => 0, $next => $this->plan[$next] + (int) ($this->chance() * ($steps + 1))],
            $way < 0.88 => $to === $k ? [$k => $steps + 1] : [$k => intdiv($steps, 2), $to => ($this->plan[$to] ?? 0) + $steps - intdiv($steps, 2)],
            $way < 0.93 => [$k => 0],
            default => [$k => 0, ($any = (int) ($this->chance() * $count)) => $any === $k ? $steps : ($this->plan[$any] ?? 0) + $steps],
        };
    }

    private function anyNear(int $k): int
    {
        return [] === $this->near[$k] ? $k : $this->near[$k][(int) ($this->chance() * \count($this->near[$k]))];
    }

    /** Any candidate that yields for a need. */
    private function serving(int $j): int
    {
        $until = $this->p->needDay[$j] - $this->first;
        $from = (int) ($this->chance() * \count($this->opens));
        foreach ([...array_keys($this->opens), ...array_keys($this->opens)] as $n => $k) {
            if ($n >= $from && $this->opens[$k] <= $until && $this->closes[$k] >= $until - $this->reach) {
                return $k;
            }
        }

        return $from;
    }

    /** The next number of a fixed sequence, from 0 to below 1 (a linear congruence by Park and Miller 1988). */
    private function chance(): float
    {
        $this->seed = $this->seed * 48271 % 2147483647;

        return $this->seed / 2147483647;
    }

    /** Fills what is short in the order of days, each gap with the succession that leaves the least cost. */
    private function fillGaps(int $limit): void
    {
        $after = -1;
        while ($this->spent < $limit) {
            $gap = null;
            foreach ($this->short as $j) {
                if ($j > $after) {
                    $gap = $j;
                    break;
                }
            }
            if (null === $gap) {
                return;
            }
            $best = null;
            $bestCost = $this->cost - self::EPSILON * (1 + abs($this->cost));
            foreach ($this->additions($this->p->needDay[$gap]) as $move) {
                $cost = $this->valued($move);
                if (null !== $cost && $cost < $bestCost) {
                    $bestCost = $cost;
                    $best = $move;
                }
            }
            if (null === $best) {
                $after = $gap;
            } else {
                $this->make($best);
            }
        }
    }

    private function improve(int $limit): void
    {
        do {
            $better = false;
            foreach ($this->moves() as $move) {
                if ($this->spent >= $limit) {
                    return;
                }
                $cost = $this->valued($move);
                if (null !== $cost && $cost < $this->cost - self::EPSILON * (1 + abs($this->cost))) {
                    $this->make($move);
                    $better = true;
                    break;
                }
            }
        } while ($better);
    }

    /**
     * Even spreads of one to many successions over the candidates, the cheapest first.
     *
     * @return list<array<int, int>>
     */
    private function starts(): array
    {
        $count = \count($this->p->curve);
        $need = array_sum($this->p->needUnits);
        $starts = [];
        for ($n = 1; $n <= min($count, self::MOST_STARTS); ++$n) {
            $plan = [];
            for ($i = 0; $i < $n; ++$i) {
                $k = intdiv((2 * $i + 1) * $count, 2 * $n);
                $yield = array_sum($this->p->curve[$k]) * $this->p->stepMetres[$k];
                $plan[$k] = max($this->p->minSteps, min($this->p->maxSteps[$k], (int) ceil($need / $n / max($yield, self::EPSILON))));
            }
            $plan = self::possible($this->p, $plan);
            $this->become($plan);
            $starts[] = [$this->cost, $n, $plan];
        }
        usort($starts, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_map(static fn (array $s): array => $s[2], \array_slice($starts, 0, self::STARTS_FOLLOWED));
    }

    /** @return \Generator<array<int, int>> moves from the plan at hand: new steps by candidate */
    private function moves(): \Generator
    {
        $plan = $this->plan;
        $at = array_keys($plan);
        $count = \count($at);
        $gaps = $this->shortRuns();
        foreach ([-1, 1, -2, 2, -4, 4] as $by) {
            foreach ($plan as $k => $steps) {
                yield [$k => max(0, $steps + $by)];
            }
        }
        foreach ($gaps as $gap) {
            yield from $this->additions($this->p->needDay[$gap]);
        }
        for ($n = 0; $n < \count(self::SHIFTS); ++$n) {
            foreach ($plan as $k => $_) {
                foreach (isset($this->near[$k][$n]) ? [0, 1, -1] : [] as $more) {
                    yield $this->shifted([$k => $this->near[$k][$n]], [$k => $more]);
                }
            }
            for ($i = 0; $i + 1 < $count; ++$i) {
                [$k, $next] = [$at[$i], $at[$i + 1]];
                if (isset($this->near[$k][$n], $this->near[$next][$n])) {
                    yield $this->shifted([$k => $this->near[$k][$n], $next => $this->near[$next][$n]]);
                }
                if (isset($this->near[$k][$n], $this->near[$next][$n ^ 1])) {
                    yield $this->shifted([$k => $this->near[$k][$n], $next => $this->near[$next][$n ^ 1]]);
                }
                if ($n < 4) {
                    $by = self::SHIFTS[$n];
                    yield [$k => max(0, $plan[$k] + $by), $next => max(0, $plan[$next] - $by)];
                }
            }
        }
        for ($i = 0; $i < $count; ++$i) {
            [$k, $steps] = [$at[$i], $plan[$at[$i]]];
            foreach ([[0, 1], [2, 3], [4, 5]] as [$before, $after]) {
                $half = intdiv($steps + 1, 2);
                [$one, $two] = [$this->near[$k][$before] ?? $k, $this->near[$k][$after] ?? $k];
                foreach ($one === $two ? [] : [$half, max(1, $steps - $half)] as $other) {
                    yield [$one => ($one === $k ? 0 : $plan[$one] ?? 0) + $half, $two => ($two === $k ? 0 : $plan[$two] ?? 0) + $other] + [$k => 0];
                }
            }
            foreach (\array_slice($this->near[$k], \count(self::SHIFTS)) as $to) {
                foreach ([0, 1, -1] as $more) {
                    yield $this->shifted([$k => $to], [$k => $more]);
                }
            }
            if ($i + 1 < $count) {
                $next = $at[$i + 1];
                foreach ([intdiv($k + $next, 2), $k, $next] as $to) {
                    foreach ([$steps + $plan[$next], max($steps, $plan[$next]), $steps + $plan[$next] - 1] as $long) {
                        yield [$to => $long] + [$k => 0, $next => 0];
                    }
                }
            }
        }
        foreach ($plan as $k => $steps) {
            foreach ($this->p->curve as $to => $_) {
                if ($to === $k) {
                    continue;
                }
                foreach ([0, -1, -2, -3, 1, 2] as $more) {
                    if ($steps + $more > 0) {
                        yield [$k => 0, $to => ($plan[$to] ?? 0) + $steps + $more];
                    }
                }
                yield [$k => $steps - 1, $to => ($plan[$to] ?? 0) + 1];
            }
        }
    }

    /**
     * @param array<int, int> $to   the candidate each is sown as instead, by candidate
     * @param array<int, int> $more steps, by candidate
     *
     * @return array<int, int>
     */
    private function shifted(array $to, array $more = []): array
    {
        $move = [];
        foreach ($to as $k => $_) {
            $move[$k] = 0;
        }
        foreach ($to as $k => $new) {
            $move[$new] = max(0, ($move[$new] ?? $this->plan[$new] ?? 0) + $this->plan[$k] + ($more[$k] ?? 0));
        }

        return $move;
    }

    /** @return \Generator<array<int, int>> a succession more, or a longer one, that yields for a market day that is short */
    private function additions(int $day): \Generator
    {
        $until = $day - $this->first;
        $from = $until - $this->reach;
        foreach ($this->p->curve as $k => $curve) {
            if ($this->opens[$k] > $until) {
                continue;
            }
            foreach ($curve as $cut => $units) {
                $cut -= $this->first;
                if ($cut >= $from && $cut <= $until) {
                    $has = $this->plan[$k] ?? 0;
                    yield [$k => $has + 1];
                    yield [$k => $has + 2];
                    yield [$k => $has + 4];
                    break;
                }
            }
        }
    }

    /**
     * Cost of the plan at hand after a move; null: there is no such candidate or length, or no room for it.
     *
     * @param array<int, int> $move
     */
    private function valued(array $move): ?float
    {
        $p = $this->p;
        $fixed = $this->fixed;
        $supply = $this->supply;
        foreach ($move as $k => $steps) {
            $had = $this->plan[$k] ?? 0;
            if ($steps === $had) {
                continue;
            }
            if (!isset($p->curve[$k]) || $steps > $p->maxSteps[$k] || (0 !== $steps && $steps < $p->minSteps)) {
                return null;
            }
            $fixed += ($steps - $had) * $p->stepMetres[$k] * $p->perMetre[$k] + (0 === $had ? $p->setUp[$k] : 0.0) - (0 === $steps ? $p->setUp[$k] : 0.0);
            if ($had > 0) {
                foreach ($this->lots[$k][$had] ?? $this->lots($k, $had) as $day => $units) {
                    $supply[$day] -= $units;
                }
            }
            if ($steps > 0) {
                foreach ($this->lots[$k][$steps] ?? $this->lots($k, $steps) as $day => $units) {
                    $supply[$day] += $units;
                }
            }
        }
        if (null !== $p->room && !$this->hasRoom($p->room, $move)) {
            return null;
        }
        ++$this->spent;
        $short = 0;
        $reach = $p->needReach;
        $day = $p->needDay;
        $first = $this->first;
        foreach ($p->needUnits as $j => $units) {
            $until = $day[$j] - $first;
            for ($t = $until - $reach[$j]; $t <= $until; ++$t) {
                $left = $supply[$t];
                if ($left > 0) {
                    if ($left >= $units) {
                        $supply[$t] = $left - $units;
                        continue 2;
                    }
                    $units -= $left;
                    $supply[$t] = 0;
                }
            }
            $short += $units;
        }

        return $fixed + $p->penalty * $short;
    }

    /** @param array<int, int> $move */
    private function hasRoom(Room $room, array $move): bool
    {
        foreach ($move as $k => $steps) {
            $more = $steps > 0 ? ($steps - ($this->plan[$k] ?? 0)) * $this->p->stepMetres[$k] : 0.0;
            if ($more <= 0.0) {
                continue;
            }
            $place = $room->place[$k];
            if ($this->inAll + $more <= $this->most[$k]) {
                continue;
            }
            if (($steps * $this->p->stepMetres[$k]) > $this->most[$k] + 1e-6) {
                return false;
            }
            $left = $room->left[$place] ?? [];
            $taken = $this->taken[$place] ?? [];
            $from = max(0, $room->from[$k] - $room->first);
            $to = $room->to[$k] - $room->first;
            for ($day = $from; $day <= $to; ++$day) {
                $wanted = ($taken[$day] ?? 0.0) + $more;
                if ($wanted > ($left[$day] ?? 0.0) + 1e-6) {
                    foreach ($move as $other => $its) {
                        if ($other !== $k && isset($room->place[$other]) && $room->place[$other] === $place && $room->from[$other] - $room->first <= $day && $day <= $room->to[$other] - $room->first) {
                            $wanted += ($its - ($this->plan[$other] ?? 0)) * $this->p->stepMetres[$other];
                        }
                    }
                    if ($wanted > ($left[$day] ?? 0.0) + 1e-6) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /** @param array<int, int> $move */
    private function make(array $move): void
    {
        $p = $this->p;
        $isNew = false;
        foreach ($move as $k => $steps) {
            $had = $this->plan[$k] ?? 0;
            if ($steps === $had) {
                continue;
            }
            $this->fixed += ($steps - $had) * $p->stepMetres[$k] * $p->perMetre[$k] + (0 === $had ? $p->setUp[$k] : 0.0) - (0 === $steps ? $p->setUp[$k] : 0.0);
            foreach ($had > 0 ? $this->lots[$k][$had] ?? $this->lots($k, $had) : [] as $day => $units) {
                $this->supply[$day] -= $units;
            }
            foreach ($steps > 0 ? $this->lots[$k][$steps] ?? $this->lots($k, $steps) : [] as $day => $units) {
                $this->supply[$day] += $units;
            }
            if (null !== $p->room) {
                $this->occupy($p->room, $k, ($steps - $had) * $p->stepMetres[$k]);
            }
            if ($steps > 0) {
                $isNew = $isNew || 0 === $had;
                $this->plan[$k] = $steps;
            } else {
                unset($this->plan[$k]);
            }
        }
        if ($isNew) {
            ksort($this->plan);
        }
        $this->reckon();
    }

    private function occupy(Room $room, int $k, float $metres): void
    {
        $place = $room->place[$k];
        $this->inAll += $metres;
        for ($day = max(0, $room->from[$k] - $room->first); $day <= $room->to[$k] - $room->first; ++$day) {
            $this->taken[$place][$day] = ($this->taken[$place][$day] ?? 0.0) + $metres;
        }
    }

    /**
     * Whole units of so many steps of a candidate, by day: counted up from its first day.
     *
     * @return array<int, int>
     */
    private function lots(int $k, int $steps): array
    {
        $metres = $steps * $this->p->stepMetres[$k];
        $lots = [];
        $sum = 0.0;
        $whole = 0;
        foreach ($this->p->curve[$k] as $day => $units) {
            $sum += $units * $metres;
            $upTo = (int) floor($sum + self::EPSILON);
            if ($upTo > $whole) {
                $lots[$day - $this->first] = $upTo - $whole;
            }
            $whole = $upTo;
        }

        return $this->lots[$k][$steps] = $lots;
    }

    /** @param array<int, int> $plan */
    private function become(array $plan): void
    {
        $this->plan = [];
        $this->fixed = 0.0;
        $this->taken = [];
        $this->inAll = 0.0;
        $this->supply = $this->nothing;
        $this->make($plan);
    }

    /** Who goes short, and what the plan at hand costs. */
    private function reckon(): void
    {
        $p = $this->p;
        $supply = $this->supply;
        $this->short = [];
        $sum = 0;
        foreach ($p->needUnits as $j => $units) {
            $until = $p->needDay[$j] - $this->first;
            for ($t = $until - $p->needReach[$j]; $t <= $until; ++$t) {
                $left = $supply[$t];
                if ($left > 0) {
                    if ($left >= $units) {
                        $supply[$t] = $left - $units;
                        continue 2;
                    }
                    $units -= $left;
                    $supply[$t] = 0;
                }
            }
            $sum += $units;
            $this->short[] = $j;
        }
        $this->cost = $this->fixed + $p->penalty * $sum;
    }

    /** Takes away what there is no room for, the longest first. */
    private function makeRoom(): void
    {
        $room = $this->p->room;
        if (null === $room) {
            return;
        }
        foreach ($this->taken as $place => $days) {
            foreach ($days as $day => $metres) {
                while (($this->taken[$place][$day] ?? 0.0) > ($room->left[$place][$day] ?? 0.0) + 1e-6) {
                    $there = array_filter($this->plan, static fn (int $k): bool => $room->place[$k] === $place && $room->from[$k] - $room->first <= $day && $day <= $room->to[$k] - $room->first, \ARRAY_FILTER_USE_KEY);
                    if ([] === $there) {
                        break;
                    }
                    $k = array_search(max($there), $there, true);
                    $this->make([$k => $there[$k] - 1 >= $this->p->minSteps ? $there[$k] - 1 : 0]);
                }
            }
        }
    }

    /**
     * @param array<int, int> $plan
     *
     * @return array<int, int>
     */
    private static function possible(CoverProblem $p, array $plan): array
    {
        $can = [];
        foreach ($plan as $k => $steps) {
            $steps = min($steps, $p->maxSteps[$k] ?? 0);
            if ($steps >= $p->minSteps) {
                $can[$k] = $steps;
            }
        }

        return $can;
    }

    /** @return list<int> needs that begin a run of short ones */
    private function shortRuns(): array
    {
        $runs = [];
        $last = -2;
        foreach ($this->short as $j) {
            if ($j > $last + 1) {
                $runs[] = $j;
            }
            $last = $j;
        }

        return \array_slice($runs, 0, self::GAPS_TRIED);
    }

    private function shortUnits(): int
    {
        return (int) round(($this->cost - $this->fixed) / max($this->p->penalty, self::EPSILON));
    }

    /** @return list<array{candidate: int, steps: int}> */
    private function listed(): array
    {
        $list = [];
        foreach ($this->plan as $k => $steps) {
            $list[] = ['candidate' => $k, 'steps' => $steps];
        }

        return $list;
    }
}
