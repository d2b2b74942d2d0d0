<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

/** Whole units of one item wanted on one market day, by outlets that take it equally old. */
final readonly class Need
{
    /**
     * @param int                            $day      day number
     * @param int                            $reach    most days between cutting and this market day
     * @param int                            $units    packing loss included
     * @param array<string, int>             $byOutlet units by outlet key, first served first
     * @param array<string, array{int, int}> $ordered  of them ordered for that day, and the same every time, by outlet
     */
    public function __construct(public int $day, public int $reach, public int $units, public array $byOutlet,
        public array $ordered = [])
    {
    }

    public function withUnits(int $units): self
    {
        return new self($this->day, $this->reach, $units, $this->byOutlet, $this->ordered);
    }
}
