<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes\Kernel;

use JollyFurrow\Boxes\BoxClass;
use JollyFurrow\Boxes\BoxItem;

/**
 * Greedy, then tabu: add, take out, exchange, two for one and one for two, the same in all groups of a size, hand to another class
 * with or without one back; 350 steps a run (no better for 200, or enough moves looked at: enough), tenures 9, 5, 14 and 7. Numbers only.
 *
 * Score of a class, times its boxes: units x price x use x weeks since it was given, less 10 a cent outside five per cent of the
 * box's price, 0.05 a cent inside, and 100 (a unit of money) for each kind it lacks.
 */
final class BoxSearch
{
    private const STEPS = 350;
    private const IDLE = 200;
    /** Moves looked at in all runs together: more found nothing better in any of forty weeks. */
    private const MOVES = 150_000;
    /** Two for one and one for two are tried of so many items at most: of more they are too many, and less wanted. */
    private const FEW = 13;
    private const TENURES = [9, 5, 14, 7];
    private const BAND = 0.05;
    private const OUTSIDE = 10.0;
    private const INSIDE = 0.05;
    private const KIND = 100.0;
    /** Weeks since it was given count up to so many. */
    private const MOST_WEEKS = 4;

    /** @var array<int, array<int, bool>> by item and class */
    private array $in = [];
    /** @var array<int, array<int, bool>> */
    private array $bestIn = [];
    private float $bestScore = -\INF;
    private int $looked = 0;
    /** @var array<int, int> units left, by item */
    private array $left = [];
    /** @var array<int, float> cents in a box, by class */
    private array $worth = [];
    /** @var array<int, float> use of what is in a box, by class */
    private array $used = [];
    /** @var array<int, int> by class */
    private array $kinds = [];
    /** @var array<int, array<int, int>> units a box takes, by item and class */
    private array $each = [];
    /** @var array<int, array<int, float>> by item and class */
    private array $cents = [];
    /** @var array<int, array<int, float>> by item and class */
    private array $use = [];
    /** @var array<int, array<int, list<int>>> classes that must have the item if a class has it, by item and class */
    private array $first = [];
    /** @var array<int, array<int, list<int>>> the other way round */
    private array $after = [];
    /** @var array<int, int> */
    private array $boxes = [];
    /** @var array<int, float> */
    private array $price = [];
    /** @var array<string, non-empty-list<int>> classes by size */
    private array $sizes = [];

    /**
     * @param list<BoxItem>  $items
     * @param list<BoxClass> $classes
     */
    public function __construct(private readonly array $items, private readonly array $classes)
    {
        foreach ($classes as $c => $class) {
            $this->sizes[$class->size][] = $c;
            $this->boxes[] = $class->boxes;
            $this->price[] = $class->cents;
        }
        foreach ($items as $i => $item) {
            $this->left[] = $item->units;
            foreach ($classes as $c => $class) {
                $this->in[$i][$c] = false;
                $this->each[$i][$c] = \in_array($item->key, $class->barred, true) ? 0 : $item->in($class->size);
                $this->cents[$i][$c] = $this->each[$i][$c] * $item->cents;
                $this->use[$i][$c] = $this->cents[$i][$c] * $item->use * max(1, min(self::MOST_WEEKS,
                    $class->weeks[$item->key] ?? self::MOST_WEEKS));
                $this->first[$i][$c] = $this->after[$i][$c] = [];
            }
            foreach ($classes as $c => $class) {
                foreach ($classes as $d => $other) {
                    if ($class->size === $other->size && ($other->had[$item->key] ?? 0) < ($class->had[$item->key] ?? 0)) {
                        $this->first[$i][$c][] = $d;
                        $this->after[$i][$d][] = $c;
                    }
                }
            }
        }
        $this->worth = $this->used = array_map(static fn (): float => 0.0, $classes);
        $this->kinds = array_map(static fn (): int => 0, $classes);
    }

    public function score(): float
    {
        return $this->bestScore;
    }

    /** @return array<int, array<int, bool>> by item and class */
    public function best(): array
    {
        $this->greedy();
        $this->note();
        foreach (self::TENURES as $tenure) {
            $this->restore();
            $this->run($tenure);
        }

        return $this->bestIn;
    }

    /** Perishables first, the dearest of them first; into each class as long as it gains. */
    private function greedy(): void
    {
        $order = array_keys($this->items);
        usort($order, fn (int $a, int $b): int => [$this->items[$b]->use, $this->items[$b]->cents, $this->items[$a]->key]
            <=> [$this->items[$a]->use, $this->items[$a]->cents, $this->items[$b]->key]);
        foreach ($order as $i) {
            for ($again = true; $again;) {
                $again = false;
                foreach (array_keys($this->classes) as $c) {
                    if ($this->mayCome($i, $c) && $this->gained([], [[$i, $c]]) > 0.0) {
                        $this->put($i, $c);
                        $again = true;
                    }
                }
            }
        }
    }

    private function run(int $tenure): void
    {
        $tabu = [];
        $idle = 0;
        // Of many items a step looks at as many more moves: fewer steps.
        $share = min(1.0, (self::FEW / max(1, \count($this->items))) ** 2);
        for ($step = 0; $this->looked < self::MOVES && $step < $share * self::STEPS && $idle < $share * self::IDLE; ++$step) {
            $score = $this->now();
            $move = null;
            $most = -\INF;
            foreach ($this->moves() as [$gain, $out, $into]) {
                ++$this->looked;
                if ($gain <= $most) {
                    continue;
                }
                $isTabu = false;
                foreach ([...$out, ...$into] as [$i, $c]) {
                    $isTabu = $isTabu || ($tabu[$i * 100 + $c] ?? 0) > $step;
                }
                if (!$isTabu || $score + $gain > $this->bestScore + 1e-9) {
                    [$move, $most] = [[$out, $into], $gain];
                }
            }
            if (null === $move) {
                return;
            }
            foreach ($move[0] as [$i, $c]) {
                $this->take($i, $c);
            }
            foreach ($move[1] as [$i, $c]) {
                $this->put($i, $c);
            }
            foreach ([...$move[0], ...$move[1]] as [$i, $c]) {
                $tabu[$i * 100 + $c] = $step + 1 + $tenure;
            }
            $idle = $this->now() > $this->bestScore + 1e-9 ? 0 : $idle + 1;
            $this->note();
        }
    }

    /** @return iterable<array{float, list<array{int, int}>, list<array{int, int}>}> gain, what goes out, what comes in */
    private function moves(): iterable
    {
        $items = array_keys($this->items);
        foreach (array_keys($this->classes) as $c) {
            $with = $comes = [];
            foreach ($items as $i) {
                $this->in[$i][$c] ? $with[] = $i : $comes[$i] = $this->coming($i, $c);
            }
            $comes = array_filter($comes, static fn (array $places): bool => [] !== $places);
            foreach ($comes as $places) {
                yield [$this->gained([], $places), [], $places];
            }
            foreach ($with as $i) {
                $gone = $this->going($i, $c);
                yield [$this->gained($gone, []), $gone, []];
                foreach ($comes as $places) {
                    yield [$this->gained($gone, $places), $gone, $places];
                }
                yield from $this->handed($i, $c, array_keys($comes));
            }
            if (\count($this->items) <= self::FEW) {
                yield from $this->two($c, $with, array_keys($comes));
            }
        }
        yield from $this->ofASize();
    }

    /**
     * One out of a class for two, and two for one.
     *
     * @param list<int> $with
     * @param list<int> $comes
     *
     * @return iterable<array{float, list<array{int, int}>, list<array{int, int}>}>
     */
    private function two(int $c, array $with, array $comes): iterable
    {
        $go = array_values(array_filter($with, fn (int $i): bool => $this->mayGo($i, $c)));
        $come = array_values(array_filter($comes, fn (int $i): bool => $this->mayCome($i, $c)));
        $now = $this->valued($c, $this->worth[$c], $this->used[$c], $this->kinds[$c]);
        foreach ($come as $n => $j) {
            foreach ($go as $m => $i) {
                $worth = $this->worth[$c] + $this->cents[$j][$c] - $this->cents[$i][$c];
                $used = $this->used[$c] + $this->use[$j][$c] - $this->use[$i][$c];
                for ($l = $n + 1; isset($come[$l]); ++$l) {
                    $k = $come[$l];
                    yield [$this->valued($c, $worth + $this->cents[$k][$c], $used + $this->use[$k][$c], $this->kinds[$c] + 1) - $now,
                        [[$i, $c]], [[$j, $c], [$k, $c]]];
                }
                for ($l = $m + 1; isset($go[$l]); ++$l) {
                    $k = $go[$l];
                    yield [$this->valued($c, $worth - $this->cents[$k][$c], $used - $this->use[$k][$c], $this->kinds[$c] - 1) - $now,
                        [[$i, $c], [$k, $c]], [[$j, $c]]];
                }
            }
        }
    }

    /**
     * Into all groups of a size, out of all of them, or one for the other.
     *
     * @return iterable<array{float, list<array{int, int}>, list<array{int, int}>}>
     */
    private function ofASize(): iterable
    {
        foreach ($this->sizes as $groups) {
            $outs = $ins = [];
            foreach (array_keys($this->items) as $i) {
                $has = array_values(array_filter($groups, fn (int $c): bool => $this->in[$i][$c]));
                $lacks = array_values(array_diff($groups, $has));
                $units = array_sum(array_map(fn (int $c): int => $this->each[$i][$c] * $this->boxes[$c], $lacks));
                [] === $has ?: $outs[$i] = array_map(static fn (int $c): array => [$i, $c], $has);
                [] === $lacks || $units > $this->left[$i] || min(array_map(fn (int $c): int => $this->each[$i][$c], $lacks)) < 1
                    ?: $ins[$i] = array_map(static fn (int $c): array => [$i, $c], $lacks);
            }
            foreach ($ins as $j => $in) {
                yield [$this->gained([], $in), [], $in];
                foreach ($outs as $i => $out) {
                    if ($i !== $j) {
                        yield [$this->gained($out, $in), $out, $in];
                    }
                }
            }
            foreach ($outs as $out) {
                yield [$this->gained($out, []), $out, []];
            }
        }
    }

    /**
     * Handed to another class, with or without one back.
     *
     * @param list<int> $others that may come
     *
     * @return iterable<array{float, list<array{int, int}>, list<array{int, int}>}>
     */
    private function handed(int $i, int $c, array $others): iterable
    {
        if (!$this->mayGo($i, $c)) {
            return;
        }
        $freed = $this->each[$i][$c] * $this->boxes[$c];
        foreach (array_keys($this->classes) as $d) {
            if ($d === $c || $this->in[$i][$d] || $this->left[$i] + $freed < $this->each[$i][$d] * $this->boxes[$d]
                || !$this->isTurn($i, $d, $c)) {
                continue;
            }
            yield [$this->gained([[$i, $c]], [[$i, $d]]), [[$i, $c]], [[$i, $d]]];
            foreach (\count($this->items) <= self::FEW ? $others : [] as $j) {
                if ($this->mayCome($j, $c)) {
                    yield [$this->gained([[$i, $c]], [[$i, $d], [$j, $c]]), [[$i, $c]], [[$i, $d], [$j, $c]]];
                }
            }
            foreach (array_keys($this->items) as $j) {
                if ($this->in[$j][$d] && !$this->in[$j][$c] && $this->mayGo($j, $d) && $this->isTurn($j, $c, $d) && $this->left[$j]
                    + $this->each[$j][$d] * $this->boxes[$d] >= $this->each[$j][$c] * $this->boxes[$c]) {
                    yield [$this->gained([[$i, $c], [$j, $d]], [[$i, $d], [$j, $c]]), [[$i, $c], [$j, $d]], [[$i, $d], [$j, $c]]];
                }
            }
        }
    }

    /**
     * Where an item comes in with a class: those before it in turn that do not have it yet, too.
     *
     * @return list<array{int, int}> none: there is too little
     */
    private function coming(int $i, int $c): array
    {
        $places = [[$i, $c]];
        $units = $this->each[$i][$c] * $this->boxes[$c];
        foreach ($this->first[$i][$c] as $d) {
            if (!$this->in[$i][$d]) {
                $places[] = [$i, $d];
                $units += $this->each[$i][$d] * $this->boxes[$d];
            }
        }

        return $this->each[$i][$c] > 0 && $units <= $this->left[$i] ? $places : [];
    }

    /** @return list<array{int, int}> where an item goes out with a class: those after it in turn that have it, too */
    private function going(int $i, int $c): array
    {
        $places = [[$i, $c]];
        foreach ($this->after[$i][$c] as $d) {
            $this->in[$i][$d] ? $places[] = [$i, $d] : null;
        }

        return $places;
    }

    private function mayCome(int $i, int $c): bool
    {
        return !$this->in[$i][$c] && $this->left[$i] >= $this->each[$i][$c] * $this->boxes[$c] && $this->isTurn($i, $c, -1);
    }

    /** All groups of its size that had it less often have it now; but for one that is about to give it up. */
    private function isTurn(int $i, int $c, int $but): bool
    {
        if ($this->each[$i][$c] < 1) {
            return false;
        }
        foreach ($this->first[$i][$c] as $d) {
            if (!$this->in[$i][$d] || $d === $but) {
                return false;
            }
        }

        return true;
    }

    /** No group that had it more often has it now. */
    private function mayGo(int $i, int $c): bool
    {
        foreach ($this->after[$i][$c] as $d) {
            if ($this->in[$i][$d]) {
                return false;
            }
        }

        return true;
    }

    /**
     * What all classes gain with some items out and others in.
     *
     * @param list<array{int, int}> $out
     * @param list<array{int, int}> $in
     */
    private function gained(array $out, array $in): float
    {
        $gain = 0.0;
        $done = [];
        foreach ([...$in, ...$out] as [, $c]) {
            if (isset($done[$c])) {
                continue;
            }
            $done[$c] = true;
            [$worth, $used, $kinds] = [$this->worth[$c], $this->used[$c], $this->kinds[$c]];
            $gain -= $this->valued($c, $worth, $used, $kinds);
            foreach ($in as [$i, $d]) {
                if ($d === $c) {
                    $worth += $this->cents[$i][$c];
                    $used += $this->use[$i][$c];
                    ++$kinds;
                }
            }
            foreach ($out as [$i, $d]) {
                if ($d === $c) {
                    $worth -= $this->cents[$i][$c];
                    $used -= $this->use[$i][$c];
                    --$kinds;
                }
            }
            $gain += $this->valued($c, $worth, $used, $kinds);
        }

        return $gain;
    }

    private function valued(int $c, float $cents, float $use, int $kinds): float
    {
        $off = abs($cents - $this->price[$c]);
        $band = self::BAND * $this->price[$c];

        return $this->boxes[$c] * ($use - self::INSIDE * min($off, $band) - self::OUTSIDE * max(0.0, $off - $band)
            - self::KIND * max(0, $this->classes[$c]->kinds - $kinds));
    }

    private function put(int $i, int $c): void
    {
        $this->change($i, $c, 1);
    }

    private function take(int $i, int $c): void
    {
        $this->change($i, $c, -1);
    }

    private function change(int $i, int $c, int $sign): void
    {
        $this->in[$i][$c] = $sign > 0;
        $this->left[$i] -= $sign * $this->each[$i][$c] * $this->boxes[$c];
        $this->worth[$c] += $sign * $this->cents[$i][$c];
        $this->used[$c] += $sign * $this->use[$i][$c];
        $this->kinds[$c] += $sign;
    }

    private function now(): float
    {
        $score = 0.0;
        foreach (array_keys($this->classes) as $c) {
            $score += $this->valued($c, $this->worth[$c], $this->used[$c], $this->kinds[$c]);
        }

        return $score;
    }

    private function note(): void
    {
        $score = $this->now();
        if ($score > $this->bestScore + 1e-9) {
            [$this->bestScore, $this->bestIn] = [$score, $this->in];
        }
    }

    private function restore(): void
    {
        foreach ($this->bestIn as $i => $row) {
            foreach ($row as $c => $is) {
                if ($is !== $this->in[$i][$c]) {
                    $is ? $this->put($i, $c) : $this->take($i, $c);
                }
            }
        }
    }
}
