<?php

declare(strict_types=1);

namespace JollyFurrow\Plan\Kernel;

/**
 * Successions of an item that comes in cuts or is picked: a local search from
 * a start that fills gap by gap and from several even ones, with shifts of one
 * and of two neighbouring successions, longer and shorter, drop, add, two for one and one for two, until
 * nothing helps or the effort is spent. The same input gives the same result.
 */
final class CoverSuccessions
{
    private const EPSILON = 1e-9;
    private const MOST_STARTS = 14;
    private const STARTS_FOLLOWED = 2;
    private const GAPS_TRIED = 5;

    private int $spent = 0;
    /** @var list<int> needs that are short */
    private array $short = [];
    /** @var list<int> those of them that begin a run */
    private array $shortRuns = [];
    private int $shortUnits = 0;

    private function __construct(private readonly CoverProblem $p)
    {
    }

    public static function solve(CoverProblem $problem): CoverSolution
    {
        return (new self($problem))->run();
    }

    private function run(): CoverSolution
    {
        $best = [];
        $bestCost = $this->value([]);
        foreach ([$this->gapByGap(), ...$this->starts()] as $start) {
            [$cost, $plan] = $this->improve($start);
            if ($cost < $bestCost - self::EPSILON) {
                $bestCost = $cost;
                $best = $plan;
            }
        }
        $this->value($best);

        return new CoverSolution($bestCost, $this->shortUnits, array_map(static fn (array $s): array => ['candidate' => $s[0], 'steps' => $s[1]], $best), $this->spent);
    }

    /**
     * Fills the gaps in the order of days, each with the succession that leaves the least cost.
     *
     * @return list<array{int, int}>
     */
    private function gapByGap(): array
    {
        $plan = [];
        $cost = $this->value($plan);
        $from = 0;
        while (null !== $gap = $this->nextGap($plan, $from)) {
            $best = null;
            foreach ($this->additions($plan, $this->p->needDay[$gap]) as $next) {
                $value = $this->value($next);
                if ($value < $cost - self::EPSILON * (1 + abs($cost))) {
                    $cost = $value;
                    $best = $next;
                }
            }
            $plan = $best ?? $plan;
            $from = null === $best ? $gap + 1 : $gap;
        }

        return $plan;
    }

    /** @param list<array{int, int}> $plan */
    private function nextGap(array $plan, int $from): ?int
    {
        $this->value($plan);
        foreach ($this->short as $gap) {
            if ($gap >= $from) {
                return $gap;
            }
        }

        return null;
    }

    /**
     * Even spreads of one to many successions over the candidates, the cheapest first.
     *
     * @return list<list<array{int, int}>>
     */
    private function starts(): array
    {
        $count = \count($this->p->curve);
        if (0 === $count) {
            return [];
        }
        $need = array_sum($this->p->needUnits);
        $starts = [];
        for ($n = 1; $n <= min($count, self::MOST_STARTS); ++$n) {
            $plan = [];
            for ($i = 0; $i < $n; ++$i) {
                $k = intdiv((2 * $i + 1) * $count, 2 * $n);
                $yield = array_sum($this->p->curve[$k]) * $this->p->stepMetres[$k];
                $plan[] = [$k, $this->clamp($k, (int) ceil($need / $n / max($yield, self::EPSILON)))];
            }
            $starts[] = [$this->value($plan), $n, $plan];
        }
        usort($starts, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_map(static fn (array $s): array => $s[2], \array_slice($starts, 0, self::STARTS_FOLLOWED));
    }

    /**
     * @param list<array{int, int}> $plan
     *
     * @return array{float, list<array{int, int}>}
     */
    private function improve(array $plan): array
    {
        $cost = $this->value($plan);
        $limit = $this->spent + intdiv($this->p->effort, self::STARTS_FOLLOWED + 1);
        do {
            $better = false;
            foreach ($this->moves($plan) as $next) {
                if ($this->spent >= $limit) {
                    return [$cost, $plan];
                }
                $value = $this->value($next);
                if ($value < $cost - self::EPSILON * (1 + abs($cost))) {
                    $cost = $value;
                    $plan = $next;
                    $better = true;
                    break;
                }
            }
        } while ($better);

        return [$cost, $plan];
    }

    /**
     * @param list<array{int, int}> $plan
     *
     * @return \Generator<list<array{int, int}>>
     */
    private function moves(array $plan): \Generator
    {
        $this->value($plan);
        $gaps = \array_slice($this->shortRuns, 0, self::GAPS_TRIED);
        $count = \count($plan);
        foreach ([-1, 1, -2, 2, -4, 4] as $by) {
            for ($i = 0; $i < $count; ++$i) {
                yield from $this->changed($plan, [$i => [0, $by]]);
            }
        }
        foreach ($gaps as $gap) {
            yield from $this->additions($plan, $this->p->needDay[$gap]);
        }
        foreach ([-1, 1, -2, 2, -3, 3] as $by) {
            for ($i = 0; $i < $count; ++$i) {
                yield from $this->changed($plan, [$i => [$by, 0]]);
                yield from $this->changed($plan, [$i => [$by, 1]]);
                yield from $this->changed($plan, [$i => [$by, -1]]);
            }
            for ($i = 0; $i + 1 < $count; ++$i) {
                yield from $this->changed($plan, [$i => [$by, 0], $i + 1 => [$by, 0]]);
                yield from $this->changed($plan, [$i => [$by, 0], $i + 1 => [-$by, 0]]);
                yield from $this->changed($plan, [$i => [0, $by], $i + 1 => [0, -$by]]);
            }
        }
        for ($i = 0; $i < $count; ++$i) {
            $without = $plan;
            unset($without[$i]);
            yield array_values($without);
            [$k, $steps] = $plan[$i];
            foreach ([1, 2, 4] as $apart) {
                $half = max($this->p->minSteps, intdiv($steps + 1, 2));
                yield from $this->placed([...array_values($without), [$k - $apart, $half], [$k + $apart, $half]]);
            }
            if ($i + 1 < $count) {
                $two = $without;
                unset($two[$i + 1]);
                $middle = intdiv($k + $plan[$i + 1][0], 2);
                foreach ([$middle, $k, $plan[$i + 1][0]] as $at) {
                    yield from $this->placed([...array_values($two), [$at, $steps + $plan[$i + 1][1]]]);
                    yield from $this->placed([...array_values($two), [$at, max($steps, $plan[$i + 1][1])]]);
                }
            }
        }
    }

    /**
     * A new succession that yields for a market day that is short.
     *
     * @param list<array{int, int}> $plan
     *
     * @return \Generator<list<array{int, int}>>
     */
    private function additions(array $plan, int $day): \Generator
    {
        $reach = max([0, ...$this->p->needReach]);
        foreach ($this->p->curve as $k => $curve) {
            foreach ($curve as $cut => $units) {
                if ($cut <= $day && $cut >= $day - $reach) {
                    foreach ([1, 2, 4] as $steps) {
                        yield from $this->placed([...$plan, [$k, $steps]]);
                    }
                    break;
                }
            }
        }
    }

    /**
     * @param list<array{int, int}>       $plan
     * @param array<int, array{int, int}> $by   shift in the list of candidates, and change of length in steps
     *
     * @return \Generator<list<array{int, int}>>
     */
    private function changed(array $plan, array $by): \Generator
    {
        foreach ($by as $i => [$shift, $steps]) {
            $plan[$i] = [$plan[$i][0] + $shift, $plan[$i][1] + $steps];
        }
        yield from $this->placed($plan);
    }

    /**
     * The plan in the order of candidates, if every candidate and length there is exists.
     *
     * @param list<array{int, int}> $plan
     *
     * @return \Generator<list<array{int, int}>>
     */
    private function placed(array $plan): \Generator
    {
        foreach ($plan as [$k, $steps]) {
            if (!isset($this->p->curve[$k]) || $steps < $this->p->minSteps || $steps > $this->p->maxSteps[$k]) {
                return;
            }
        }
        sort($plan);
        yield $plan;
    }

    private function clamp(int $k, int $steps): int
    {
        return max($this->p->minSteps, min($this->p->maxSteps[$k], $steps));
    }

    /**
     * Cost of a plan: what is cut is used oldest first, for market days it still keeps to.
     *
     * @param list<array{int, int}> $plan
     */
    private function value(array $plan): float
    {
        ++$this->spent;
        $p = $this->p;
        $cost = 0.0;
        $lots = [];
        foreach ($plan as [$k, $steps]) {
            $metres = $steps * $p->stepMetres[$k];
            $cost += $p->setUp[$k] + $metres * $p->perMetre[$k];
            $sum = 0.0;
            $whole = 0;
            foreach ($p->curve[$k] as $day => $units) {
                $sum += $units * $metres;
                $upTo = (int) floor($sum + self::EPSILON);
                $lots[$day] = ($lots[$day] ?? 0) + $upTo - $whole;
                $whole = $upTo;
            }
        }
        ksort($lots);
        $days = array_keys($lots);
        $left = array_values($lots);
        $count = \count($days);
        $oldest = 0;
        $this->shortUnits = 0;
        $this->short = [];
        $this->shortRuns = [];
        $wasShort = false;
        foreach ($p->needDay as $j => $day) {
            $units = $p->needUnits[$j];
            while ($oldest < $count && (0 === $left[$oldest] || $days[$oldest] < $day - $p->needReach[$j])) {
                if (0 !== $left[$oldest] && isset($p->needDay[$j + 1]) && $p->needReach[$j + 1] > $p->needReach[$j]) {
                    break;
                }
                ++$oldest;
            }
            for ($i = $oldest; $i < $count && $units > 0 && $days[$i] <= $day; ++$i) {
                if ($days[$i] < $day - $p->needReach[$j]) {
                    continue;
                }
                $take = min($units, $left[$i]);
                $left[$i] -= $take;
                $units -= $take;
            }
            if ($units > 0) {
                $this->shortUnits += $units;
                $this->short[] = $j;
                if (!$wasShort) {
                    $this->shortRuns[] = $j;
                }
            }
            $wasShort = $units > 0;
        }

        return $cost + $p->penalty * $this->shortUnits;
    }
}
