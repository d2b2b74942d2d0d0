<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * The plans of each item that are known so far, as a cost and the metres they take by week: rents at which the cheapest
 * of each together cost most (the dual of the restricted master, Dantzig & Wolfe 1960, climbed by subgradient steps), and
 * the choice of one plan an item that costs least and fits best.
 */
final class KnownPlans
{
    /** @var list<list<float>> cost at base rents, by item and plan */
    private array $cost = [];
    /** @var list<list<array<int, float>>> metre-days by item, plan and week of a place, above none */
    private array $use = [];
    /** @var list<list<array<int, float>>> most metres on a day of it */
    private array $peak = [];

    /**
     * @param array<int, float> $room metre-days there are, by week of a place
     * @param array<int, float> $most metres there are on its fullest day
     */
    public function __construct(private readonly array $room, private readonly array $most)
    {
    }

    /**
     * @param array<int, float> $use
     * @param array<int, float> $peak
     */
    public function add(int $item, float $cost, array $use, array $peak): void
    {
        $this->cost[$item][] = $cost;
        $this->use[$item][] = $use;
        $this->peak[$item][] = $peak;
    }

    /**
     * Rents above the base rents, a metre and day, after so many steps up from given ones.
     *
     * @param array<int, float> $rents by week of a place
     *
     * @return array<int, float>
     */
    public function climbed(array $rents, int $steps, float $length): array
    {
        $best = $rents;
        $highest = -\INF;
        for ($step = 0; $step <= $steps; ++$step) {
            $free = $this->room;
            $sum = 0.0;
            foreach ($this->cost as $item => $costs) {
                $least = \INF;
                $cheapest = 0;
                foreach ($costs as $plan => $cost) {
                    foreach ($this->use[$item][$plan] as $week => $metres) {
                        $cost += $rents[$week] * $metres;
                    }
                    if ($cost < $least) {
                        $least = $cost;
                        $cheapest = $plan;
                    }
                }
                $sum += $least;
                foreach ($this->use[$item][$cheapest] as $week => $metres) {
                    $free[$week] -= $metres;
                }
            }
            foreach ($rents as $week => $rent) {
                $sum -= $rent * $this->room[$week];
            }
            if ($sum > $highest) {
                $highest = $sum;
                $best = $rents;
            }
            $along = $length / (1 + $step / 8);
            foreach ($free as $week => $metres) {
                if ($metres < 0.0 || $rents[$week] > 0.0) {
                    $rents[$week] = max(0.0, $rents[$week] - $along * max(-1.0, min(0.5, $metres / max(7.0, $this->room[$week]))));
                }
            }
        }

        return $best;
    }

    /**
     * One plan an item: from given ones on, the single change that helps most, again and again; a metre and day too many
     * costs so much.
     *
     * @param list<int> $chosen by item
     *
     * @return list<int>
     */
    public function chosen(array $chosen, float $over): array
    {
        $free = $this->most;
        foreach ($chosen as $item => $plan) {
            foreach ($this->peak[$item][$plan] as $week => $metres) {
                $free[$week] -= $metres;
            }
        }
        do {
            $best = -1e-6;
            $change = null;
            foreach ($chosen as $item => $now) {
                $without = $free;
                $gone = 0.0;
                foreach ($this->peak[$item][$now] as $week => $metres) {
                    $gone += min(0.0, $free[$week]);
                    $without[$week] += $metres;
                    $gone -= min(0.0, $without[$week]);
                }
                foreach ($this->cost[$item] as $plan => $cost) {
                    if ($plan === $now) {
                        continue;
                    }
                    $more = 0.0;
                    foreach ($this->peak[$item][$plan] as $week => $metres) {
                        $more += min(0.0, $without[$week]) - min(0.0, $without[$week] - $metres);
                    }
                    $gain = $cost - $this->cost[$item][$now] + 7 * $over * ($gone + $more);
                    if ($gain < $best) {
                        $best = $gain;
                        $change = [$item, $plan];
                    }
                }
            }
            if (null !== $change) {
                foreach ($this->peak[$change[0]][$chosen[$change[0]]] as $week => $metres) {
                    $free[$week] += $metres;
                }
                foreach ($this->peak[$change[0]][$change[1]] as $week => $metres) {
                    $free[$week] -= $metres;
                }
                $chosen[$change[0]] = $change[1];
            }
        } while (null !== $change);

        return array_values($chosen);
    }
}
