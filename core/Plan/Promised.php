<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Needs;
use JollyFurrow\Time\Day;

/** What was promised, before the packing loss is put on top: what is short is told in units as they were promised. */
final readonly class Promised
{
    /** @param array<string, array<int, array<string, float>>> $units by item, day and outlet */
    private function __construct(private array $units)
    {
    }

    public static function in(Garden $garden): self
    {
        return new self(Needs::promised($garden));
    }

    public function of(Shortage $short): float
    {
        return $this->units[$short->item][$short->day->number][$short->outlet] ?? (float) $short->wanted;
    }

    /** So many units to harvest, as units promised: a part of one counts as one. */
    public function short(string $item, string $outlet, Day $day, int $units, int $wanted): float
    {
        $of = $this->units[$item][$day->number][$outlet] ?? (float) $wanted;

        return min($of, ceil($of * $units / max(1, $wanted) - 1e-9));
    }
}
