<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** What will lie in one place, week by week, in crates. */
final readonly class RoomWeeks
{
    private const HAIR = 0.05;

    /** @param array<int, array<string, float>> $crates by week from the first and item */
    public function __construct(public StorePlace $place, public Day $monday, public array $crates)
    {
    }

    public function in(int $week): float
    {
        return array_sum($this->crates[$week] ?? []);
    }

    /** Crates too many. */
    public function over(int $week): float
    {
        return null === $this->place->crates ? 0.0 : max(0.0, $this->in($week) - $this->place->crates);
    }

    /** The first week there is too little room; null: there is enough. */
    public function fullFrom(): ?int
    {
        foreach (array_keys($this->crates) as $week) {
            if ($this->over($week) > self::HAIR) {
                return $week;
            }
        }

        return null;
    }

    /** Weeks in a row it is full, from the first. */
    public function fullFor(): int
    {
        $from = $this->fullFrom();
        for ($n = 0; null !== $from && $this->over($from + $n) > self::HAIR; ++$n) {
        }

        return $n;
    }

    public function most(): float
    {
        return [] === $this->crates ? 0.0 : max(array_map(array_sum(...), $this->crates));
    }

    public function day(int $week): Day
    {
        return $this->monday->plus(7 * $week);
    }

    /** @return list<string> items, the one there is most of first */
    public function items(): array
    {
        $most = [];
        foreach ($this->crates as $week) {
            foreach ($week as $item => $crates) {
                $most[$item] = max($most[$item] ?? 0.0, $crates);
            }
        }
        $most = array_filter($most, static fn (float $c): bool => $c > self::HAIR);
        arsort($most);

        return array_map(strval(...), array_keys($most));
    }
}
