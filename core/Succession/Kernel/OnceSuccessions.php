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
 * A label is a position (units settled so far) with its least cost. From a label the rest of the market day is left
 * short, or any candidate that can serve this market day is sown at any length: it serves to the end of what it
 * yields, or of its window, or stops at a market-day end it only reaches at this length. A label overtaken by one
 * further on and no dearer is dropped.
 */
final class OnceSuccessions
{
    private const EPSILON = 1e-9;

    /** @var list<int> */
    private array $position = [];
    /** @var list<float> */
    private array $cost = [];
    /** @var list<int> */
    private array $label = [];
    /** @var list<array{parent: int, candidate: int, steps: int, end: int, position: int}> */
    private array $tree = [];
    private int $at = 0;

    private function __construct(private readonly OnceProblem $p)
    {
    }

    public static function solve(OnceProblem $problem): OnceSolution
    {
        return (new self($problem))->run();
    }

    private function run(): OnceSolution
    {
        $p = $this->p;
        $rows = \count($p->needDay);
        $rowStart = [0];
        $dayCost = [0.0];
        for ($j = 0; $j < $rows; ++$j) {
            $rowStart[] = $rowStart[$j] + $p->needUnits[$j];
            $dayCost[] = $dayCost[$j] + $p->needUnits[$j] * ($p->needDay[$j] - $p->firstDay);
        }
        $total = $rowStart[$rows];
        $serving = $this->candidatesByRow();
        $this->tree = [['parent' => -1, 'candidate' => -1, 'steps' => 0, 'end' => 0, 'position' => 0]];
        $this->position = [0];
        $this->cost = [0.0];
        $this->label = [0];
        $row = 0;
        for ($this->at = 0; $this->position[$this->at] < $total; ++$this->at) {
            $from = $this->position[$this->at];
            $costHere = $this->cost[$this->at];
            $parent = $this->label[$this->at];
            while ($rowStart[$row + 1] <= $from) {
                ++$row;
            }
            $daysBefore = $dayCost[$row] + ($from - $rowStart[$row]) * ($p->needDay[$row] - $p->firstDay);
            $this->offer($rowStart[$row + 1], $costHere + $p->penalty * ($rowStart[$row + 1] - $from), $parent, -1, 0, 0);
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
                            $this->offer($stop, $fixed + $metres * $rent[$end + 1 - $p->firstDay] + $keep, $parent, $k, $steps, $end);
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

    /** Puts a label into the frontier, which rises in position and in cost, unless it is overtaken. */
    private function offer(int $position, float $cost, int $parent, int $candidate, int $steps, int $end): void
    {
        $low = $this->at + 1;
        $high = \count($this->position);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->position[$middle] < $position) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }
        $slack = self::EPSILON * (1 + abs($cost));
        if ($low < \count($this->position) && $this->cost[$low] <= $cost + $slack) {
            if ($this->position[$low] !== $position || $this->cost[$low] < $cost - $slack || !$this->sownEarlier($candidate,
                $this->label[$low])) {
                return;
            }
        }
        $first = $low;
        while ($first > $this->at + 1 && $this->cost[$first - 1] >= $cost - $slack) {
            --$first;
        }
        $past = $low < \count($this->position) && $this->position[$low] === $position ? $low + 1 : $low;
        $this->tree[] = ['parent' => $parent, 'candidate' => $candidate, 'steps' => $steps, 'end' => $end, 'position' => $position];
        array_splice($this->position, $first, $past - $first, [$position]);
        array_splice($this->cost, $first, $past - $first, [$cost]);
        array_splice($this->label, $first, $past - $first, [\count($this->tree) - 1]);
    }

    private function sownEarlier(int $candidate, int $label): bool
    {
        $other = $this->tree[$label]['candidate'];
        if ($candidate < 0 || $other < 0) {
            return $candidate >= 0;
        }

        return [$this->p->sow[$candidate], $this->p->key[$candidate]] < [$this->p->sow[$other], $this->p->key[$other]];
    }

    private function trace(int $total): OnceSolution
    {
        $plantings = [];
        $short = 0;
        for ($label = $this->label[$this->at]; $label > 0; $label = $node['parent']) {
            $node = $this->tree[$label];
            $from = $this->tree[$node['parent']]['position'];
            if ($node['candidate'] < 0) {
                $short += $node['position'] - $from;
            } else {
                $plantings[] = ['candidate' => $node['candidate'], 'steps' => $node['steps'], 'end' => $node['end'], 'from' => $from,
                    'to' => $node['position']];
            }
        }

        return new OnceSolution($total > 0 ? $this->cost[$this->at] : 0.0, $short, array_reverse($plantings));
    }
}
