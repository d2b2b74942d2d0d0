<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * A plan of successions that come in cuts or are picked: the steps of each candidate, and what it yields, costs and takes.
 * A move sets the steps of some candidates; it is valued by what it changes.
 */
abstract class CoverPlan
{
    protected const EPSILON = 1e-9;

    protected int $spent = 0;
    protected readonly int $first;
    /** @var list<int> nothing on any day */
    protected readonly array $nothing;
    /** @var array<int, array<int, array<int, int>>> by candidate and steps: whole units by day from the first */
    protected array $lots = [];
    /** @var list<int> first day of a candidate's curve, from the first */
    protected array $opens = [];
    protected readonly int $reach;

    /** @var array<int, int> the plan at hand: steps by candidate */
    protected array $plan = [];
    /** @var array<int, int> its supply by day */
    protected array $supply;
    protected float $fixed = 0.0;
    protected float $cost = 0.0;
    /** @var list<int> needs of it that are short */
    protected array $short = [];
    /** @var array<string, array<int, float>> metres it leaves, by place and day; below nought where it takes too many */
    private array $free = [];
    /** @var array<int, int> the first need from a day on */
    private array $needFrom = [];
    /** @var list<array<int, int>> what the plan at hand still has after each need */
    private array $after = [];
    /** @var list<int> units of the plan at hand that are short up to each need */
    private array $shortUpTo = [];
    /** Metres of all its successions, whenever they stand. */
    protected float $inAll = 0.0;
    /** @var list<float> metres free on all days of a candidate's stay */
    protected array $most = [];

    protected function __construct(protected readonly CoverProblem $p)
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
        }
        if (null !== $p->room) {
            $this->most = array_map($p->room->most(...), array_keys($p->curve));
            $this->free = $p->room->left;
        }
        $next = \count($p->needDay);
        for ($day = \count($this->nothing) - 1; $day >= 0; --$day) {
            while ($next > 0 && $p->needDay[$next - 1] - $this->first >= $day) {
                --$next;
            }
            $this->needFrom[$day] = $next;
        }
        $this->reckon();
        $this->cost = 0.0;
    }

    /**
     * Cost of the plan at hand after a move; null: there is no such candidate or length, or no room for it.
     *
     * @param array<int, int> $move
     */
    protected function valued(array $move): ?float
    {
        $p = $this->p;
        $fixed = $this->fixed;
        // Needs before the first day the move touches are served as they are.
        $touched = \PHP_INT_MAX;
        foreach ($move as $k => $steps) {
            if ($steps !== ($this->plan[$k] ?? 0) && ($this->opens[$k] ?? \PHP_INT_MAX) < $touched) {
                $touched = $this->opens[$k];
            }
        }
        $needs = \count($p->needUnits);
        $from = $this->needFrom[$touched] ?? $needs;
        $supply = $from > 0 ? $this->after[$from - 1] : $this->supply;
        foreach ($move as $k => $steps) {
            $had = $this->plan[$k] ?? 0;
            if ($steps === $had) {
                continue;
            }
            if (!isset($p->curve[$k]) || $steps > $p->maxSteps[$k] || (0 !== $steps && $steps < $p->minSteps)) {
                return null;
            }
            $fixed += ($steps - $had) * $p->stepMetres[$k] * $p->perMetre[$k] + (0 === $had ? $p->setUp[$k] : 0.0) - (0 === $steps
                ? $p->setUp[$k] : 0.0);
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
        $short = $from > 0 ? $this->shortUpTo[$from - 1] : 0;
        $reach = $p->needReach;
        $day = $p->needDay;
        $first = $this->first;
        for ($j = $from; $j < $needs; ++$j) {
            $units = $p->needUnits[$j];
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
    protected function make(array $move): void
    {
        $p = $this->p;
        $isNew = false;
        foreach ($move as $k => $steps) {
            $had = $this->plan[$k] ?? 0;
            if ($steps === $had) {
                continue;
            }
            $this->fixed += ($steps - $had) * $p->stepMetres[$k] * $p->perMetre[$k] + (0 === $had ? $p->setUp[$k] : 0.0) - (0 === $steps
                ? $p->setUp[$k] : 0.0);
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

    /** @param array<int, int> $plan */
    protected function become(array $plan): void
    {
        $this->plan = [];
        $this->fixed = 0.0;
        $this->free = $this->p->room->left ?? [];
        $this->inAll = 0.0;
        $this->supply = $this->nothing;
        $this->make($plan);
    }

    /** Takes away what there is no room for, the longest first. */
    protected function makeRoom(): void
    {
        $room = $this->p->room;
        if (null === $room) {
            return;
        }
        foreach ($this->free as $place => $days) {
            foreach ($days as $day => $ignored) {
                while ($this->free[$place][$day] < -1e-6) {
                    $there = array_filter($this->plan, static fn (int $k): bool => $room->place[$k] === $place
                        && $room->from[$k] - $room->first <= $day && $day <= $room->to[$k] - $room->first, \ARRAY_FILTER_USE_KEY);
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
    protected static function possible(CoverProblem $p, array $plan): array
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

    protected function shortUnits(): int
    {
        return (int) round(($this->cost - $this->fixed) / max($this->p->penalty, self::EPSILON));
    }

    /** @return list<array{candidate: int, steps: int}> */
    protected function listed(): array
    {
        $list = [];
        foreach ($this->plan as $k => $steps) {
            $list[] = ['candidate' => $k, 'steps' => $steps];
        }

        return $list;
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

    /** Who goes short, and what the plan at hand costs. */
    private function reckon(): void
    {
        $p = $this->p;
        $supply = $this->supply;
        $this->short = [];
        $this->after = [];
        $this->shortUpTo = [];
        $sum = 0;
        foreach ($p->needUnits as $j => $units) {
            $until = $p->needDay[$j] - $this->first;
            for ($t = $until - $p->needReach[$j]; $t <= $until; ++$t) {
                $left = $supply[$t];
                if ($left > 0) {
                    $units -= $given = min($left, $units);
                    $supply[$t] = $left - $given;
                    if (0 === $units) {
                        break;
                    }
                }
            }
            if ($units > 0) {
                $sum += $units;
                $this->short[] = $j;
            }
            $this->after[] = $supply;
            $this->shortUpTo[] = $sum;
        }
        $this->cost = $this->fixed + $p->penalty * $sum;
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
            $free = $this->free[$place] ?? [];
            $from = max(0, $room->from[$k] - $room->first);
            $to = $room->to[$k] - $room->first;
            for ($day = $from; $day <= $to; ++$day) {
                if ($more > ($free[$day] ?? 0.0) + 1e-6) {
                    $wanted = $more;
                    foreach ($move as $other => $its) {
                        if ($other !== $k && isset($room->place[$other]) && $room->place[$other] === $place
                            && $room->from[$other] - $room->first <= $day && $day <= $room->to[$other] - $room->first) {
                            $wanted += ($its - ($this->plan[$other] ?? 0)) * $this->p->stepMetres[$other];
                        }
                    }
                    if ($wanted > ($free[$day] ?? 0.0) + 1e-6) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    private function occupy(Room $room, int $k, float $metres): void
    {
        $place = $room->place[$k];
        $this->inAll += $metres;
        for ($day = max(0, $room->from[$k] - $room->first); $day <= $room->to[$k] - $room->first; ++$day) {
            $this->free[$place][$day] = ($this->free[$place][$day] ?? 0.0) - $metres;
        }
    }
}
