<?php

declare(strict_types=1);

namespace JollyFurrow\Stock\Kernel;

use JollyFurrow\Stock\StockLot;
use JollyFurrow\Stock\StockNeed;

/** Takes out of lots in their order, and moves earlier takes along a shortest chain of lots where a need would stay short. */
final class Taking
{
    public const EPSILON = 1e-6;

    /** @var array<int, float> of each lot, as on its first day */
    private array $left;
    /** @var array<int, array<int, float>> by need and lot: units as they weigh on that day */
    private array $takes = [];
    /** @var array<int, float> */
    private array $short = [];

    /**
     * @param list<StockNeed> $needs
     * @param list<StockLot>  $lots  in the order they are taken
     */
    public function __construct(private readonly array $needs, private readonly array $lots)
    {
        $this->left = array_map(static fn (StockLot $l): float => $l->units, $lots);
    }

    public function serve(int $n): void
    {
        $need = $this->needs[$n];
        $wanted = $need->units;
        foreach ($this->lots as $l => $lot) {
            if ($wanted > self::EPSILON && $this->left[$l] > self::EPSILON && $need->accepts($lot)) {
                $wanted -= $this->take($n, $l, $wanted);
            }
        }
        while ($wanted > self::EPSILON && ($chain = $this->chain($n)) !== []) {
            $got = $this->along($n, $chain, $wanted);
            if ($got <= self::EPSILON / 10) {
                break;
            }
            $wanted -= $got;
        }
        $this->short[$n] = max(0.0, $wanted);
    }

    /** @return list<array<string, float>> */
    public function takes(): array
    {
        $all = [];
        foreach (array_keys($this->needs) as $n) {
            $of = [];
            foreach ($this->takes[$n] ?? [] as $l => $units) {
                $of[$this->lots[$l]->key] = $units;
            }
            $all[] = array_filter($of, static fn (float $u): bool => $u > self::EPSILON);
        }

        return $all;
    }

    /** @return list<float> */
    public function short(): array
    {
        return array_map(fn (int $n): float => $this->short[$n] ?? 0.0, array_keys($this->needs));
    }

    public function sold(): float
    {
        return array_sum(array_map(array_sum(...), $this->takes));
    }

    private function take(int $n, int $l, float $wanted): float
    {
        $sound = $this->lots[$l]->sound($this->needs[$n]->day);
        $taken = min($wanted, $this->left[$l] * $sound);
        $this->left[$l] -= $taken / $sound;
        $this->takes[$n][$l] = ($this->takes[$n][$l] ?? 0.0) + $taken;

        return $taken;
    }

    /**
     * Lots from one the need accepts to one with something left: each step a need that takes of the first and accepts the
     * second.
     *
     * @return list<array{int, int}> lot, and the need that moves from it to the next; none for the last
     */
    private function chain(int $n): array
    {
        $came = [];
        $queue = [];
        foreach ($this->lots as $l => $lot) {
            if ($this->needs[$n]->accepts($lot)) {
                $came[$l] = null;
                $queue[] = $l;
            }
        }
        while ([] !== $queue) {
            $l = array_shift($queue);
            if ($this->left[$l] > self::EPSILON) {
                return self::back($came, $l);
            }
            foreach ($this->takes as $other => $taken) {
                if ($other === $n || ($taken[$l] ?? 0.0) <= self::EPSILON) {
                    continue;
                }
                foreach ($this->lots as $to => $lot) {
                    if (!\array_key_exists($to, $came) && $this->needs[$other]->accepts($lot)) {
                        $came[$to] = [$l, $other];
                        $queue[] = $to;
                    }
                }
            }
        }

        return [];
    }

    /**
     * @param array<int, array{int, int}|null> $came
     *
     * @return list<array{int, int}>
     */
    private static function back(array $came, int $l): array
    {
        $chain = [[$l, -1]];
        while (isset($came[$l])) {
            [$l, $need] = $came[$l];
            array_unshift($chain, [$l, $need]);
        }

        return $chain;
    }

    /**
     * Moves as much as the chain bears, and takes it.
     *
     * @param list<array{int, int}> $chain
     */
    private function along(int $n, array $chain, float $wanted): float
    {
        $first = $this->lots[$chain[0][0]]->sound($this->needs[$n]->day);
        $most = $wanted / $first;
        $factor = 1.0;
        $moves = [];
        for ($i = 0; $i < \count($chain) - 1; ++$i) {
            [$l, $other] = $chain[$i];
            $to = $chain[$i + 1][0];
            $day = $this->needs[$other]->day;
            $most = min($most, $this->takes[$other][$l] / $this->lots[$l]->sound($day) / $factor);
            $moves[] = [$l, $other, $to, $factor];
            $factor *= $this->lots[$l]->sound($day) / $this->lots[$to]->sound($day);
        }
        $end = $chain[\count($chain) - 1][0];
        $most = min($most, $this->left[$end] / $factor);
        foreach ($moves as [$l, $other, $to, $by]) {
            $units = $most * $by * $this->lots[$l]->sound($this->needs[$other]->day);
            $this->takes[$other][$l] -= $units;
            $this->takes[$other][$to] = ($this->takes[$other][$to] ?? 0.0) + $units;
        }
        $this->left[$end] -= $most * $factor;
        $this->takes[$n][$chain[0][0]] = ($this->takes[$n][$chain[0][0]] ?? 0.0) + $most * $first;

        return $most * $first;
    }
}
