<?php

declare(strict_types=1);

namespace JollyFurrow\Odds;

/**
 * How many last beyond an amount, where of some only "at least" is known (Kaplan & Meier 1958, "Nonparametric estimation from
 * incomplete observations"). Where one that ended and one that was only seen so far lie at the same amount, the one that ended
 * counts first.
 */
final readonly class Survival
{
    /**
     * @param list<array{float, float}> $steps amount and the share that lasts beyond it, at each amount at which some ended
     * @param float                     $most  largest amount seen
     */
    private function __construct(public array $steps, public float $most, public int $ended, public int $seen)
    {
    }

    /**
     * @param list<float> $ended   amounts at which one ended
     * @param list<float> $atLeast amounts up to which one was seen to last
     */
    public static function of(array $ended, array $atLeast = []): self
    {
        sort($ended);
        $all = [...$ended, ...$atLeast];
        $share = 1.0;
        $steps = [];
        $before = 0;
        foreach ($ended as $n => $x) {
            if ($x < ($ended[$n + 1] ?? \INF)) {
                $here = \count(array_filter($ended, static fn (float $y): bool => $y <= $x)) - $before;
                $share *= 1 - $here / \count(array_filter($all, static fn (float $y): bool => $y >= $x));
                $before += $here;
                $steps[] = [$x, $share];
            }
        }

        return new self($steps, [] === $all ? 0.0 : max($all), \count($ended), \count($all));
    }

    /** Share that lasts beyond an amount. */
    public function beyond(float $x): float
    {
        $share = 1.0;
        foreach ($this->steps as [$at, $then]) {
            $share = $at <= $x ? $then : $share;
        }

        return $share;
    }

    /** The least amount that so many do not last beyond; null: so many were never seen to end. */
    public function by(float $share): ?float
    {
        foreach ($this->steps as [$at, $beyond]) {
            if (1 - $beyond >= $share - 1e-12) {
                return $at;
            }
        }

        return null;
    }
}
