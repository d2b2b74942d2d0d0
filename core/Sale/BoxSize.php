<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Measure\Money;

/** A size of box, what it costs, and in how many groups its shares take turns. */
final readonly class BoxSize
{
    /**
     * @param non-empty-list<int> $groups shares of each
     * @param array<string, int>  $rests  weeks at least between two boxes with a product in them
     */
    public function __construct(public string $key, public string $outlet, public string $name, public Money $price, public array $groups,
        public array $rests = [])
    {
    }

    public function shares(): int
    {
        return array_sum($this->groups);
    }

    /** A newcomer goes into the smaller group. */
    public function withOneMore(): self
    {
        $groups = $this->groups;
        $smallest = array_search(min($groups), $groups, true);

        return new self($this->key, $this->outlet, $this->name, $this->price, array_map(static fn (int $n, int $shares): int => $shares
            + (int) ($n === $smallest), array_keys($groups), $groups), $this->rests);
    }

    /** Not again for so many weeks; one week: in every box. */
    public function resting(string $product, int $weeks): self
    {
        $rests = array_diff_key($this->rests, [$product => true]);

        return new self($this->key, $this->outlet, $this->name, $this->price, $this->groups, $weeks > 1 ? [...$rests, $product => $weeks]
            : $rests);
    }
}
