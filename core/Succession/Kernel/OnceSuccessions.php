<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * Successions of one item at least cost, exact when the older succession is finished before a younger one is
 * cut: a dynamic programme over the units of need in date order.
 *
 * "Finished" means: one that hands over to a younger one on a market day has given all it yields; one that stops at the
 * end of a market day may leave the rest.
 *
 * With no rent, no cost per metre, a yield and a step of one and an endless hold this is the lot-size problem of
 * Wagner and Whitin, "Dynamic Version of the Economic Lot Size Model", Management Science 5 (1958), 89-96.
 *
 * A label is a position (units settled so far) with its least cost and how it was reached. From a label the rest of the
 * market day is left short, or any candidate that can serve this market day is sown at any length: it serves to the end of
 * what it yields, or of its window, or stops at a market-day end it only reaches at this length. Positions come up in order,
 * so a label is settled when its turn comes; one overtaken by another further on and no dearer is passed over.
 */
final class OnceSuccessions
{
    private const EPSILON = 1e-9;

    /** @var array<int, float> least cost, by position */
    private array $cost = [0 => 0.0];
    /** @var array<int, array{int, int, int, int}> by position: the one before, the candidate (-1: left short), its steps, its last day */
    private array $way = [0 => [-1, -1, 0, 0]];
    /** @var \SplMinHeap<int> positions whose turn is still to come */
    private \SplMinHeap $toCome;
    /** @var list<int> units needed before each market day, and in all */
    private array $rowStart = [0];
    /** @var array<int, float> least cost of a label at the start of that market day, or further on */
    private array $reached = [];

    private function __construct(private readonly OnceProblem $p)
    {
        /** @var \SplMinHeap<int> $heap */
        $heap = new \SplMinHeap();
        $this->toCome = $heap;
        $this->toCome->insert(0);
        foreach ($p->needUnits as $j => $units) {
            $this->rowStart[] = $this->rowStart[$j] + $units;
        }
        $this->reached = array_fill(0, \count($this->rowStart), \INF);
    }

    public static function solve(OnceProblem $problem): OnceSolution
    {
        return (new self($problem))->run();
    }

    private function run(): OnceSolution
    {
        $p = $this->p;
        $rowStart = $this->rowStart;
        $rows = \count($p->needDay);
        $dayCost = [0.0];
        for ($j = 0; $j < $rows; ++$j) {
            $dayCost[] = $dayCost[$j] + $p->needUnits[$j] * ($p->needDay[$j] - $p->firstDay);
        }
        $total = $rowStart[$rows];
        $serving = $this->candidatesByRow();
        $row = 0;
        while (($from = $this->toCome->extract()) < $total) {
            $costHere = $this->cost[$from];
            while ($rowStart[$row + 1] <= $from) {
                ++$row;
            }
            if ($this->isOvertaken($from, $costHere, $row)) {
                continue;
            }
            $daysBefore = $dayCost[$row] + ($from - $rowStart[$row]) * ($p->needDay[$row] - $p->firstDay);
            $this->offer($rowStart[$row + 1], $costHere + $p->penalty * ($rowStart[$row + 1] - $from), [$from, -1, 0, 0]);
            foreach ($serving[$row] as $k) {
                $ready = $p->ready[$k];
                $last = $p->last[$k];
                $windowEnd = $row;
                while ($windowEnd < $rows && $p->needDay[$windowEnd] <= $last + $p->needReach[$windowEnd]) {
                    ++$windowEnd;
                }
                $window = $rowStart[$windowEnd];
                $rent = $p->rent[$k];
                $rentStart = $rent[$p->start[$k] - $p->firstDay];
                $readyOffset = $ready - $p->firstDay;
                $m = $row;
                $end = min($last, max($ready, $p->needDay[$m] - $p->needReach[$m]));
                $before = $from;
                for ($steps = $p->minSteps; $steps <= $p->maxSteps[$k]; ++$steps) {
                    $metres = $steps * $p->stepMetres[$k];
                    $full = min($window, $from + (int) floor($p->perMetre[$k] * $metres + self::EPSILON));
                    if ($full <= $before) {
                        continue;
                    }
                    $fixed = $costHere + $p->setUp[$k] + $metres * ($p->cost[$k] - $rentStart);
                    while (true) {
                        $stop = min($full, $rowStart[$m + 1]);
                        if ($stop > $before) {
                            $days = $dayCost[$m] + ($stop - $rowStart[$m]) * ($p->needDay[$m] - $p->firstDay) - $daysBefore;
                            $keep = $p->keeping * ($days - $readyOffset * ($stop - $from));
                            $cost = $fixed + $metres * $rent[$end + 1 - $p->firstDay] + $keep;
                            if ($cost <= $this->reached[$m + 1] + self::EPSILON * (1 + $cost)) {
                                $this->offer($stop, $cost, [$from, $k, $steps, $end]);
                            }
                        }
                        if ($stop >= $full || $m + 1 >= $windowEnd) {
                            break;
                        }
                        ++$m;
                        $end = min($last, max($end, $p->needDay[$m] - $p->needReach[$m]));
                    }
                    $before = $full;
                    if ($full >= $window) {
                        break;
                    }
                }
            }
        }

        return $this->trace($total);
    }

    /** @return list<list<int>> candidates that can serve each row of need */
    private function candidatesByRow(): array
    {
        $serving = [];
        foreach ($this->p->needDay as $j => $day) {
            $able = [];
            foreach ($this->p->ready as $k => $ready) {
                if ($ready <= $day && $day <= $this->p->last[$k] + $this->p->needReach[$j]) {
                    $able[] = $k;
                }
            }
            $serving[] = $able;
        }

        return $serving;
    }

    /** Another further on costs no more. */
    private function isOvertaken(int $position, float $cost, int $row): bool
    {
        $most = $cost + self::EPSILON * (1 + abs($cost));
        if ($this->reached[$row + 1] <= $most) {
            return true;
        }
        for ($further = $position + 1, $end = $this->rowStart[$row + 1]; $further < $end; ++$further) {
            if (isset($this->cost[$further]) && $this->cost[$further] <= $most) {
                return true;
            }
        }

        return false;
    }

    /**
     * A way to a position is kept when it is cheaper than the one known, or as cheap and sown earlier.
     *
     * @param array{int, int, int, int} $way
     */
    private function offer(int $position, float $cost, array $way): void
    {
        $known = $this->cost[$position] ?? null;
        if (null === $known) {
            $this->toCome->insert($position);
        } else {
            $slack = self::EPSILON * (1 + abs($cost));
            if ($known <= $cost + $slack && ($known < $cost - $slack || !$this->isSownEarlier($way[1], $this->way[$position][1]))) {
                return;
            }
        }
        $this->cost[$position] = $cost;
        $this->way[$position] = $way;
        for ($row = \count($this->rowStart) - 1; $row >= 0 && ($this->rowStart[$row] > $position || $this->reached[$row] > $cost); --$row) {
            if ($this->rowStart[$row] <= $position) {
                $this->reached[$row] = $cost;
            }
        }
    }

    private function isSownEarlier(int $candidate, int $other): bool
    {
        if ($candidate < 0 || $other < 0) {
            return $candidate >= 0;
        }

        return [$this->p->sow[$candidate], $this->p->key[$candidate]] < [$this->p->sow[$other], $this->p->key[$other]];
    }

    private function trace(int $total): OnceSolution
    {
        $plantings = [];
        $short = 0;
        for ($to = $total; $to > 0; $to = $from) {
            [$from, $candidate, $steps, $end] = $this->way[$to];
            if ($candidate < 0) {
                $short += $to - $from;
            } else {
                $plantings[] = ['candidate' => $candidate, 'steps' => $steps, 'end' => $end, 'from' => $from, 'to' => $to];
            }
        }

        return new OnceSolution($this->cost[$total], $short, array_reverse($plantings));
    }
}
