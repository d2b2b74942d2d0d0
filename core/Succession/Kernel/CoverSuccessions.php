<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * Successions of an item that comes in cuts or is picked: a local search from a start that fills gap by gap and from
 * several even ones, with longer and shorter, shifts of one and of two neighbours, drop, add, two for one and one for
 * two; then a walk that takes steps for the worse as well, ever more seldom, and the same again from the best it came by.
 * The same input gives the same result.
 */
final class CoverSuccessions extends CoverPlan
{
    private const MOST_STARTS = 14;
    private const STARTS_FOLLOWED = 2;
    private const GAPS_TRIED = 5;
    /** Places in the row of the same way that are near. */
    private const SHIFTS = [-1, 1, -2, 2, -3, 3];
    /** The walk's heat at first, in set-ups, and the share of it at last. */
    private const HEAT = 1.0;
    private const COOL = 0.12;
    private const LAST = 400;

    private int $seed = 20_260_302;
    /** @var list<int> last day of a candidate's curve */
    private array $closes = [];

    /** @var array<int, list<int>> by candidate: the next ones grown the same way, before and after in turn; then the nearest grown another way */
    private array $near = [];

    private function __construct(CoverProblem $problem)
    {
        parent::__construct($problem);
        foreach ($problem->curve as $curve) {
            $this->closes[] = (array_key_last($curve) ?? 0) - $this->first;
        }
        $this->nearest();
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
            $k = [] === $this->short ? (int) ($this->chance() * $count)
                : $this->serving($this->short[(int) ($this->chance() * \count($this->short))]);

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
            $way < 0.50 => $to === $k ? [$k => $steps + 1] : $this->shifted([$k => $to],
                [$k => (int) round(($this->chance() - 0.5) * max(2.9, $steps))]),
            $way < 0.60 => $next === $k || $to === $k ? [$k => 0] : $this->shifted([$k => $to, $next => $this->anyNear($next)]),
            $way < 0.72 => $next === $k ? [$k => $steps + 1] : [$k => max(0, $steps - 1), $next => $this->plan[$next] + 1],
            $way < 0.80 => $next === $k ? [$k => 0] : [$k => 0, $next => $this->plan[$next] + (int) ($this->chance() * ($steps + 1))],
            $way < 0.88 => $to === $k ? [$k => $steps + 1] : [$k => intdiv($steps, 2),
                $to => ($this->plan[$to] ?? 0) + $steps - intdiv($steps, 2)],
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
        $gaps = $this->shortRuns();
        foreach ([-1, 1, -2, 2, -4, 4] as $by) {
            foreach ($plan as $k => $steps) {
                yield [$k => max(0, $steps + $by)];
            }
        }
        foreach ($gaps as $gap) {
            yield from $this->additions($this->p->needDay[$gap]);
        }
        yield from $this->toOtherDays($plan);
        yield from $this->splitAndJoined($plan);
        yield from $this->intoAnyOther($plan);
    }

    /**
     * @param array<int, int> $plan
     *
     * @return \Generator<array<int, int>> one sowing, or two that follow each other, some days sooner or later
     */
    private function toOtherDays(array $plan): \Generator
    {
        $at = array_keys($plan);
        $count = \count($at);
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
    }

    /**
     * @param array<int, int> $plan
     *
     * @return \Generator<array<int, int>> one sowing as two, two as one, and one far away
     */
    private function splitAndJoined(array $plan): \Generator
    {
        $at = array_keys($plan);
        $count = \count($at);
        for ($i = 0; $i < $count; ++$i) {
            [$k, $steps] = [$at[$i], $plan[$at[$i]]];
            foreach ([[0, 1], [2, 3], [4, 5]] as [$before, $after]) {
                $half = intdiv($steps + 1, 2);
                [$one, $two] = [$this->near[$k][$before] ?? $k, $this->near[$k][$after] ?? $k];
                foreach ($one === $two ? [] : [$half, max(1, $steps - $half)] as $other) {
                    yield [$one => ($one === $k ? 0 : $plan[$one] ?? 0) + $half, $two => ($two === $k ? 0
                        : $plan[$two] ?? 0) + $other] + [$k => 0];
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
    }

    /**
     * @param array<int, int> $plan
     *
     * @return \Generator<array<int, int>> a sowing, or a step of it, as any other
     */
    private function intoAnyOther(array $plan): \Generator
    {
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
}
