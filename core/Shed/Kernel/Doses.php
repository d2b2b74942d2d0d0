<?php

declare(strict_types=1);

namespace JollyFurrow\Shed\Kernel;

/**
 * Least cost of x >= 0 with every nutrient at least its need and at most its need and the allowed excess, by trying all sets
 * of up to three products with as many nutrients held exactly at need or at its most: every corner of what is possible, so
 * exact. Products are rows of what a kilogram gives of each of three nutrients.
 *
 * Stock: where a cheapest corner takes more of a product than there is, the cheapest with that limit has exactly the stock of
 * it (the cost is convex), so it is fixed there and the rest solved again, limit by limit.
 *
 * Whole steps: branch and bound; the count of the fractional product with the dearest step is fixed outward from where it
 * lies, and the same corners of what is left are the bound.
 */
final class Doses
{
    private const EPS = 1e-9;
    private const MOST_NODES = 3000;
    private const TRIED_CORNERS = 6;

    /** @var list<array{float, array<int, float>}> cheapest corners met while they are collected: cost, kilograms by product */
    private array $corners = [];
    private bool $collects = false;
    private int $nodes = 0;
    private float $best = \INF;
    /** @var array<int, float>|null */
    private ?array $bestKg = null;

    /**
     * @param list<array{float, float, float}> $gives of each nutrient a kilogram
     * @param list<float>                      $costs a kilogram
     * @param list<float>                      $steps kilograms
     * @param list<float>                      $stock kilograms; INF: no limit
     * @param array{float, float, float}       $need
     * @param array{float, float, float}       $most  need and allowed excess; INF: no limit
     */
    public function __construct(private readonly array $gives, private readonly array $costs, private readonly array $steps,
        private array $stock, private readonly array $need, private readonly array $most)
    {
    }

    /** @return array<int, float>|null kilograms by product, those of which something is taken; null: it cannot be done */
    public function cheapest(): ?array
    {
        return $this->within([]);
    }

    /** @return array<int, float>|null the same in whole steps */
    public function inWholeSteps(): ?array
    {
        foreach ($this->stock as $j => $kg) {
            $this->stock[$j] = \INF === $kg ? \INF : floor($kg / $this->steps[$j] + 1e-9) * $this->steps[$j];
        }
        $this->collects = true;
        $start = $this->within([]);
        $this->collects = false;
        if (null === $start) {
            return null;
        }
        $this->best = \INF;
        $this->bestKg = null;
        $this->nodes = 0;
        usort($this->corners, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach (\array_slice($this->corners, 0, self::TRIED_CORNERS) as [, $kg]) {
            $this->tryRounded($kg);
        }
        $this->search($start);

        return $this->bestKg;
    }

    /**
     * Floors and ceilings of a corner, in every combination.
     *
     * @param array<int, float> $kg
     */
    private function tryRounded(array $kg): void
    {
        $products = array_keys($kg);
        for ($mask = 0; $mask < 1 << \count($products); ++$mask) {
            $tried = [];
            foreach ($products as $bit => $j) {
                $steps = $kg[$j] / $this->steps[$j];
                $whole = abs($steps - round($steps)) < 1e-7 ? round($steps) : (1 === (1 & $mask >> $bit) ? ceil($steps) : floor($steps));
                $tried[$j] = $whole * $this->steps[$j];
            }
            $this->keep($tried);
        }
    }

    /** @param array<int, float> $kg in whole steps */
    private function keep(array $kg): void
    {
        $kg = array_filter($kg, static fn (float $x): bool => $x > self::EPS);
        foreach ([0, 1, 2] as $i) {
            $sum = 0.0;
            foreach ($kg as $j => $x) {
                $sum += $x * $this->gives[$j][$i];
            }
            if ($sum < $this->need[$i] - 1e-7 || $sum > $this->most[$i] + 1e-7) {
                return;
            }
        }
        foreach ($kg as $j => $x) {
            if ($x > $this->stock[$j] + 1e-7) {
                return;
            }
        }
        $cost = $this->cost($kg);
        if ($cost < $this->best - self::EPS) {
            [$this->best, $this->bestKg] = [$cost, $kg];
        }
    }

    /**
     * The node with the least bound first. Beside it waits its neighbour one step further out, which costs no less.
     *
     * @param array<int, float> $start cheapest of all
     */
    private function search(array $start): void
    {
        /** @var \SplPriorityQueue<float, mixed> $queue */
        $queue = new \SplPriorityQueue();
        $this->open($queue, [], $start);
        while (!$queue->isEmpty() && $this->nodes <= self::MOST_NODES) {
            /** @var array{array<int, float>, array<int, float>, int, int, int} $node */
            $node = $queue->extract();
            [$fixed, $at, $product, $count, $outward] = $node;
            if ($this->cost($at) >= $this->best - self::EPS) {
                return;
            }
            $next = $fixed;
            unset($next[$product]);
            $this->push($queue, $next, $product, $count + $outward, $outward);
            $this->open($queue, $fixed, $at);
        }
    }

    /**
     * Keeps what is in whole steps; else fixes the fractional product with the dearest step on both sides of where it lies.
     *
     * @param \SplPriorityQueue<float, mixed> $queue
     * @param array<int, float>               $fixed kilograms
     * @param array<int, float>               $at    cheapest with those fixed
     */
    private function open(\SplPriorityQueue $queue, array $fixed, array $at): void
    {
        $pick = null;
        foreach ($at as $j => $x) {
            $steps = $x / $this->steps[$j];
            if (!isset($fixed[$j]) && abs($steps - round($steps)) > 1e-7 && (null === $pick
                || $this->costs[$j] * $this->steps[$j] > $this->costs[$pick] * $this->steps[$pick])) {
                $pick = $j;
            }
        }
        if (null === $pick) {
            $this->keep($at);

            return;
        }
        $down = (int) floor($at[$pick] / $this->steps[$pick]);
        $this->push($queue, $fixed, $pick, $down, -1);
        $this->push($queue, $fixed, $pick, $down + 1, 1);
    }

    /**
     * @param \SplPriorityQueue<float, mixed> $queue
     * @param array<int, float>               $fixed   but for the product
     * @param int                             $outward 1 or -1: the way to its neighbour
     */
    private function push(\SplPriorityQueue $queue, array $fixed, int $product, int $count, int $outward): void
    {
        $kg = $count * $this->steps[$product];
        if ($count < 0 || $kg > $this->stock[$product] + 1e-9 || ++$this->nodes > self::MOST_NODES) {
            return;
        }
        $fixed[$product] = $kg;
        $at = $this->within($fixed);
        if (null !== $at && $this->cost($at) < $this->best - self::EPS) {
            $this->tryRounded($at);
            $queue->insert([$fixed, $at, $product, $count, $outward], -$this->cost($at));
        }
    }

    /**
     * Cheapest with some products fixed, no product above its stock.
     *
     * @param array<int, float> $fixed
     *
     * @return array<int, float>|null
     */
    private function within(array $fixed): ?array
    {
        $limited = [];
        while (true) {
            $x = $this->limited($fixed, $limited);
            $over = null;
            $most = 1e-9;
            foreach ($x ?? [] as $j => $kg) {
                if (!isset($fixed[$j]) && $kg - $this->stock[$j] > $most) {
                    [$over, $most] = [$j, $kg - $this->stock[$j]];
                }
            }
            if (null === $over) {
                return $x;
            }
            $limited[] = $over;
        }
    }

    /**
     * @param array<int, float> $fixed
     * @param list<int>         $limited products whose stock counts
     *
     * @return array<int, float>|null
     */
    private function limited(array $fixed, array $limited): ?array
    {
        $last = array_pop($limited);
        if (null === $last) {
            return $this->corner($fixed);
        }
        $x = $this->limited($fixed, $limited);
        if (null === $x || isset($fixed[$last]) || ($x[$last] ?? 0.0) <= $this->stock[$last] + 1e-9) {
            return $x;
        }

        return $this->limited($fixed + [$last => $this->stock[$last]], $limited);
    }

    /**
     * The cheapest corner of what is left.
     *
     * @param array<int, float> $fixed
     *
     * @return array<int, float>|null
     */
    private function corner(array $fixed): ?array
    {
        $low = $this->need;
        $high = $this->most;
        foreach ($fixed as $j => $kg) {
            for ($i = 0; $i < 3; ++$i) {
                $low[$i] -= $kg * $this->gives[$j][$i];
                $high[$i] -= $kg * $this->gives[$j][$i];
            }
        }
        if (min($high) < -1e-9) {
            return null;
        }
        $free = [];
        foreach ($this->gives as $j => $gives) {
            if (!isset($fixed[$j]) && max($gives) > 0.0) {
                $free[] = $j;
            }
        }
        $found = null;
        $cost = \INF;
        foreach ($this->candidates($free, $low, $high) as $kg) {
            $c = 0.0;
            foreach ($kg as $j => $x) {
                $c += $x * $this->costs[$j];
            }
            if ($this->collects) {
                $this->corners[] = [$c + $this->cost($fixed), $fixed + $kg];
            }
            if ($c < $cost - self::EPS || ($c <= $cost + self::EPS && null !== $found && $this->isBefore($kg, $found, $low))) {
                [$cost, $found] = [min($c, $cost), $kg];
            }
        }

        return null === $found ? null : array_filter($found + $fixed, static fn (float $x): bool => $x > self::EPS);
    }

    /**
     * @param list<int>   $free
     * @param list<float> $low
     * @param list<float> $high
     *
     * @return list<array<int, float>> corners: kilograms by product
     */
    private function candidates(array $free, array $low, array $high): array
    {
        if ($low[0] <= self::EPS && $low[1] <= self::EPS && $low[2] <= self::EPS) {
            return [[]];
        }
        $g = $this->gives;
        $found = [];
        $n = \count($free);
        for ($a = 0; $a < $n; ++$a) {
            $ja = $free[$a];
            $ga = $g[$ja];
            $x = 0.0;
            for ($i = 0; $i < 3; ++$i) {
                if ($low[$i] > self::EPS) {
                    $x = $ga[$i] > 0.0 ? max($x, $low[$i] / $ga[$i]) : \INF;
                }
            }
            if (\INF !== $x && $x * $ga[0] <= $high[0] + 1e-9 && $x * $ga[1] <= $high[1] + 1e-9 && $x * $ga[2] <= $high[2] + 1e-9) {
                $found[] = [$ja => $x];
            }
            for ($b = $a + 1; $b < $n; ++$b) {
                $jb = $free[$b];
                $gb = $g[$jb];
                for ($i = 0; $i < 2; ++$i) {
                    for ($k = $i + 1; $k < 3; ++$k) {
                        $d = $ga[$i] * $gb[$k] - $ga[$k] * $gb[$i];
                        if (abs($d) < 1e-15) {
                            continue;
                        }
                        foreach ([$low[$i], $high[$i]] as $ri) {
                            foreach (\INF === $ri ? [] : [$low[$k], $high[$k]] as $rk) {
                                if (\INF === $rk) {
                                    continue;
                                }
                                $xa = ($ri * $gb[$k] - $rk * $gb[$i]) / $d;
                                $xb = ($ga[$i] * $rk - $ga[$k] * $ri) / $d;
                                if ($xa < self::EPS || $xb < self::EPS) {
                                    continue;
                                }
                                $m = 3 - $i - $k;
                                $sum = $xa * $ga[$m] + $xb * $gb[$m];
                                if ($sum >= $low[$m] - 1e-9 && $sum <= $high[$m] + 1e-9) {
                                    $found[] = [$ja => $xa, $jb => $xb];
                                }
                            }
                        }
                    }
                }
                for ($c = $b + 1; $c < $n; ++$c) {
                    $jc = $free[$c];
                    $gc = $g[$jc];
                    $d = $ga[0] * ($gb[1] * $gc[2] - $gb[2] * $gc[1]) - $gb[0] * ($ga[1] * $gc[2] - $ga[2] * $gc[1])
                        + $gc[0] * ($ga[1] * $gb[2] - $ga[2] * $gb[1]);
                    if (abs($d) < 1e-15) {
                        continue;
                    }
                    for ($mask = 0; $mask < 8; ++$mask) {
                        $r0 = 0 === ($mask & 1) ? $low[0] : $high[0];
                        $r1 = 0 === ($mask & 2) ? $low[1] : $high[1];
                        $r2 = 0 === ($mask & 4) ? $low[2] : $high[2];
                        if (\INF === $r0 || \INF === $r1 || \INF === $r2) {
                            continue;
                        }
                        $xa = ($r0 * ($gb[1] * $gc[2] - $gb[2] * $gc[1]) - $gb[0] * ($r1 * $gc[2] - $r2 * $gc[1])
                            + $gc[0] * ($r1 * $gb[2] - $r2 * $gb[1])) / $d;
                        if ($xa < self::EPS) {
                            continue;
                        }
                        $xb = ($ga[0] * ($r1 * $gc[2] - $r2 * $gc[1]) - $r0 * ($ga[1] * $gc[2] - $ga[2] * $gc[1])
                            + $gc[0] * ($ga[1] * $r2 - $ga[2] * $r1)) / $d;
                        if ($xb < self::EPS) {
                            continue;
                        }
                        $xc = ($ga[0] * ($gb[1] * $r2 - $gb[2] * $r1) - $gb[0] * ($ga[1] * $r2 - $ga[2] * $r1)
                            + $r0 * ($ga[1] * $gb[2] - $ga[2] * $gb[1])) / $d;
                        if ($xc >= self::EPS) {
                            $found[] = [$ja => $xa, $jb => $xb, $jc => $xc];
                        }
                    }
                }
            }
        }

        return $found;
    }

    /**
     * Of two that cost the same: less excess, fewer products, fewer kilograms, the first in the shed.
     *
     * @param array<int, float> $a
     * @param array<int, float> $b
     * @param list<float>       $low
     */
    private function isBefore(array $a, array $b, array $low): bool
    {
        return [round($this->excess($a, $low), 7), \count($a), round(array_sum($a), 7), array_keys($a)]
            < [round($this->excess($b, $low), 7), \count($b), round(array_sum($b), 7), array_keys($b)];
    }

    /**
     * @param array<int, float> $kg
     * @param list<float>       $low
     */
    private function excess(array $kg, array $low): float
    {
        $excess = 0.0;
        foreach ([0, 1, 2] as $i) {
            $sum = 0.0;
            foreach ($kg as $j => $x) {
                $sum += $x * $this->gives[$j][$i];
            }
            $excess += max(0.0, $sum - max(0.0, $low[$i]));
        }

        return $excess;
    }

    /** @param array<int, float> $kg */
    private function cost(array $kg): float
    {
        $cost = 0.0;
        foreach ($kg as $j => $x) {
            $cost += $x * $this->costs[$j];
        }

        return $cost;
    }
}
