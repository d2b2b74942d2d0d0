<?php

declare(strict_types=1);

namespace JollyFurrow\Pick\Kernel;

use JollyFurrow\Pick\SpreadDays;
use JollyFurrow\Pick\SpreadWant;

/**
 * The cheapest flow of hours: want, (source, day) at most what is ripe, the day's hours, overtime at its price; or short.
 *
 * A network simplex on a strongly feasible tree (Cunningham 1976, as in Ahuja, Magnanti and Orlin, Network Flows, 1993, chapter
 * 11; from memory): it cannot cycle, and other prices of nights start from the tree there is. Flows are whole ticks, so that
 * nothing is lost to rounding.
 */
final class HourFlow
{
    /** Of an hour. */
    public const TICKS = 1_000_000;
    private const ENDLESS = \PHP_INT_MAX >> 2;
    private const EPSILON = 1e-7;

    /** @var array<int, int> by arc */
    private array $from = [];
    /** @var array<int, int> */
    private array $to = [];
    /** @var array<int, int> */
    private array $cap = [];
    /** @var array<int, float> cents an hour */
    private array $cost = [];
    /** @var array<int, int> */
    private array $flow = [];
    /** @var array<int, int> 1: at nothing, 0: in the tree, -1: at its most */
    private array $state = [];
    /** @var array<int, int> by node */
    private array $parent = [];
    /** @var array<int, int> the arc to its parent */
    private array $arc = [];
    /** @var array<int, int> */
    private array $depth = [];
    /** @var array<int, float> */
    private array $price = [];
    /** @var array<int, array<int, true>> */
    private array $below = [];
    /** @var list<array{int, int, int}> want, day and arc */
    private array $picks = [];
    private int $next = 0;

    /** @param list<SpreadWant> $wants */
    public function __construct(private readonly array $wants, private readonly SpreadDays $days)
    {
        $sink = 0;
        $node = $days->count();
        $this->parent[$sink] = -1;
        $this->below[$sink] = [];
        for ($t = 0; $t < $days->count(); ++$t) {
            $this->hang($t + 1, $sink, self::ticks($days->hours[$t]), 0.0, 0);
            $this->add($t + 1, $sink, self::ticks($days->overtime[$t] ?? 0.0), $days->price);
        }
        $ripe = [];
        foreach ($wants as $w => $want) {
            $own = ++$node;
            $demand = $want->units * self::unit($want);
            $this->hang($own, $sink, self::ENDLESS, $want->shortPrice / $want->hours, $demand);
            for ($t = max(0, $want->from); $t <= $want->last($days->count()); ++$t) {
                $to = $t + 1;
                if (isset($days->ripe[$want->source])) {
                    $to = $ripe[$want->source][$t] ??= ++$node;
                    isset($this->parent[$to]) ?: $this->hang($to, $t + 1, ($days->ripe[$want->source][$t] ?? 0) * self::unit($want),
                        0.0, 0);
                }
                $this->picks[] = [$w, $t, $this->add($own, $to, $demand, $want->aged($t) / $want->hours)];
            }
        }
    }

    /**
     * The cheapest flow at prices of nights.
     *
     * @param array<string, list<float>> $nights cents a crate, by room and night
     *
     * @return float cents it costs, with what nights cost
     */
    public function solve(array $nights = []): float
    {
        $upTo = [];
        foreach ($nights as $room => $prices) {
            $upTo[$room] = [0.0];
            foreach ($prices as $night => $price) {
                $upTo[$room][$night + 1] = $upTo[$room][$night] + $price;
            }
        }
        foreach ($this->picks as [$w, $t, $arc]) {
            $want = $this->wants[$w];
            $sum = $upTo[$want->room ?? ''] ?? null;
            $lies = null === $sum ? 0.0 : (($sum[$want->day] ?? end($sum)) - $sum[$t]) / $want->crate;
            $this->cost[$arc] = ($want->aged($t) + $lies) / $want->hours;
        }
        $this->reprice(0);
        while (($entering = $this->entering()) >= 0) {
            $this->pivot($entering);
        }
        $cost = 0.0;
        foreach ($this->flow as $arc => $ticks) {
            $cost += $ticks * $this->cost[$arc];
        }

        return $cost / self::TICKS;
    }

    /** @return list<array<int, float>> units by want and day */
    public function units(): array
    {
        $units = array_fill(0, \count($this->wants), []);
        foreach ($this->picks as [$w, $t, $arc]) {
            if ($this->flow[$arc] > 0) {
                $units[$w][$t] = $this->flow[$arc] / self::unit($this->wants[$w]);
            }
        }

        return array_values($units);
    }

    private static function unit(SpreadWant $want): int
    {
        return max(1, self::ticks($want->hours));
    }

    private static function ticks(float $hours): int
    {
        return (int) round(min($hours, 1e9) * self::TICKS);
    }

    private function add(int $from, int $to, int $cap, float $cost): int
    {
        $arc = \count($this->from);
        [$this->from[$arc], $this->to[$arc], $this->cap[$arc], $this->cost[$arc], $this->flow[$arc], $this->state[$arc]] = [$from, $to,
            $cap, $cost, 0, 1];

        return $arc;
    }

    /** An arc of the first tree: every one of them points to the sink. */
    private function hang(int $node, int $parent, int $cap, float $cost, int $flow): int
    {
        $arc = $this->add($node, $parent, $cap, $cost);
        [$this->flow[$arc], $this->state[$arc], $this->parent[$node], $this->arc[$node]] = [$flow, 0, $parent, $arc];
        $this->below[$node] = [];
        $this->below[$parent][$node] = true;

        return $arc;
    }

    /** Depths and prices below a node, from those of its parent. */
    private function reprice(int $top): void
    {
        $stack = [$top];
        while ([] !== $stack) {
            $node = array_pop($stack);
            $parent = $this->parent[$node];
            if ($parent < 0) {
                [$this->depth[$node], $this->price[$node]] = [0, 0.0];
            } else {
                $arc = $this->arc[$node];
                $this->depth[$node] = $this->depth[$parent] + 1;
                $this->price[$node] = $this->price[$parent] + ($this->from[$arc] === $node ? $this->cost[$arc] : -$this->cost[$arc]);
            }
            foreach ($this->below[$node] as $child => $_) {
                $stack[] = $child;
            }
        }
    }

    /** The arc that saves most of a block of arcs; -1: none saves. */
    private function entering(): int
    {
        $count = \count($this->from);
        $block = max(20, (int) sqrt($count));
        $best = -1;
        $most = self::EPSILON;
        for ($seen = 0; $seen < $count; ++$seen) {
            $arc = $this->next;
            $this->next = ++$this->next >= $count ? 0 : $this->next;
            if (0 !== $this->state[$arc]) {
                $saves = $this->state[$arc] * ($this->price[$this->from[$arc]] - $this->price[$this->to[$arc]] - $this->cost[$arc]);
                if ($saves > $most) {
                    [$most, $best] = [$saves, $arc];
                }
            }
            if (0 === ($seen + 1) % $block && $best >= 0) {
                return $best;
            }
        }

        return $best;
    }

    private function pivot(int $in): void
    {
        [$first, $second] = 1 === $this->state[$in] ? [$this->from[$in], $this->to[$in]] : [$this->to[$in], $this->from[$in]];
        $join = $this->join($first, $second);
        $least = $this->cap[$in];
        $out = -1;
        $isFirst = false;
        for ($node = $first; $node !== $join; $node = $this->parent[$node]) {
            $left = $this->isUp($node) ? $this->flow[$this->arc[$node]] : $this->cap[$this->arc[$node]] - $this->flow[$this->arc[$node]];
            if ($left < $least) {
                [$least, $out, $isFirst] = [$left, $node, true];
            }
        }
        for ($node = $second; $node !== $join; $node = $this->parent[$node]) {
            $left = $this->isUp($node) ? $this->cap[$this->arc[$node]] - $this->flow[$this->arc[$node]] : $this->flow[$this->arc[$node]];
            if ($left <= $least) {
                [$least, $out, $isFirst] = [$left, $node, false];
            }
        }
        if ($least > 0) {
            $this->flow[$in] += $this->state[$in] * $least;
            for ($node = $first; $node !== $join; $node = $this->parent[$node]) {
                $this->flow[$this->arc[$node]] += $this->isUp($node) ? -$least : $least;
            }
            for ($node = $second; $node !== $join; $node = $this->parent[$node]) {
                $this->flow[$this->arc[$node]] += $this->isUp($node) ? $least : -$least;
            }
        }
        if ($out < 0) {
            $this->state[$in] = -$this->state[$in];

            return;
        }
        $this->state[$in] = 0;
        $gone = $this->arc[$out];
        $this->state[$gone] = 0 === $this->flow[$gone] ? 1 : -1;
        $this->rehang($out, $isFirst ? $first : $second, $isFirst ? $second : $first, $in);
    }

    private function isUp(int $node): bool
    {
        return $this->from[$this->arc[$node]] === $node;
    }

    private function join(int $one, int $other): int
    {
        while ($one !== $other) {
            if ($this->depth[$one] >= $this->depth[$other]) {
                $one = $this->parent[$one];
            } else {
                $other = $this->parent[$other];
            }
        }

        return $one;
    }

    /** The branch below $out hangs by its node $at on $on from now. */
    private function rehang(int $out, int $at, int $on, int $arc): void
    {
        $node = $at;
        while (true) {
            [$parent, $old] = [$this->parent[$node], $this->arc[$node]];
            unset($this->below[$parent][$node]);
            [$this->parent[$node], $this->arc[$node]] = [$on, $arc];
            $this->below[$on][$node] = true;
            if ($node === $out) {
                break;
            }
            [$on, $arc, $node] = [$node, $old, $parent];
        }
        $this->reprice($at);
    }
}
