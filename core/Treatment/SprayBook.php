<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Time\Day;

/** What was treated, and what may not be harvested or entered yet. */
final readonly class SprayBook
{
    /** @param list<Spray> $sprays oldest first */
    public function __construct(public array $sprays = [])
    {
    }

    /** The treatment that still keeps a harvest off a bed on a day, the last to end; null: none. */
    public function keepsOff(string $bed, Day $day): ?Spray
    {
        $last = null;
        foreach ($this->sprays as $spray) {
            if ($spray->isOn($bed) && !$day->isBefore($spray->day) && $day->isBefore($spray->harvestFrom())
                && (null === $last || $last->harvestFrom()->isBefore($spray->harvestFrom()))) {
                $last = $spray;
            }
        }

        return $last;
    }

    /** The treatment that still keeps people out of a bed on a day; null: none. */
    public function keepsOut(string $bed, Day $day): ?Spray
    {
        return array_values(array_filter($this->sprays, static fn (Spray $s): bool => $s->isOn($bed) && !$day->isBefore($s->day)
            && $day->isBefore($s->enterFrom())))[0] ?? null;
    }

    /** The last one on a bed before a day. */
    public function lastOn(string $bed, Day $before): ?Spray
    {
        $on = array_values(array_filter($this->sprays, static fn (Spray $s): bool => $s->isOn($bed) && $s->day->isBefore($before)));

        return $on[array_key_last($on) ?? -1] ?? null;
    }
}
