<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Measure\Money;

/** A size of box, what it costs, and in how many groups its shares take turns. */
final readonly class BoxSize
{
    /** @param non-empty-list<int> $groups shares of each */
    public function __construct(public string $key, public string $outlet, public string $name, public Money $price, public array $groups)
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
            + (int) ($n === $smallest), array_keys($groups), $groups));
    }
}
