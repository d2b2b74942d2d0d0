<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** What may change in a product of several crops when one of them is short. */
final readonly class MixRule
{
    /**
     * @param bool                               $isAnyOf one will do for another: of three parts three times one makes a whole
     * @param array<string, array{float, float}> $bounds  least and most share of the mix, by item; what is not named is 0 to 1
     */
    public function __construct(public string $product, public bool $isAnyOf = false, public array $bounds = [])
    {
    }

    public function low(string $item): float
    {
        return $this->bounds[$item][0] ?? 0.0;
    }

    public function high(string $item): float
    {
        return $this->bounds[$item][1] ?? 1.0;
    }

    /**
     * False: no mix can be so, for the least are more than all of it, or the most are less.
     *
     * @param int $parts of the product; those without bounds may be all of it
     */
    public function isPossible(int $parts): bool
    {
        $low = array_sum(array_column($this->bounds, 0));
        $high = array_sum(array_column($this->bounds, 1)) + $parts - \count($this->bounds);

        return $this->isAnyOf || ($low <= 1.0 + 1e-9 && $high >= 1.0 - 1e-9);
    }
}
