<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Time\Day;

/** How far a lot has cured, counted from its harvest. The sign decides, not the day. */
final readonly class CuringProgress
{
    /** It is turned and looked at so often, days (common practice, no source). */
    private const TURNED = 5;
    /** Nobody asks any more so many days after the most. */
    private const GRACE = 14;

    private function __construct(public Curing $curing, public Day $since, public int $days)
    {
    }

    /** @return self|null null: it is not cured, or that was long ago */
    public static function of(HarvestLot $lot, StoreNeeds $needs, Day $today): ?self
    {
        $curing = $needs->traits->curing;
        $days = $today->since($lot->day);

        return null === $curing || $days < 0 || $days > $curing->most + self::GRACE ? null : new self($curing, $lot->day, $days);
    }

    /** It may be done: its sign is looked for. */
    public function mayBeDone(): bool
    {
        return $this->days >= $this->curing->least;
    }

    /** Share of the least it takes, at most the whole. */
    public function share(): float
    {
        return min(1.0, $this->days / max(1, $this->curing->least));
    }

    /** @return list<Day> on which it is turned and looked at */
    public function turnings(): array
    {
        $days = [];
        for ($n = self::TURNED; $n < $this->curing->least; $n += self::TURNED) {
            $days[] = $this->since->plus($n);
        }

        return $days;
    }

    /** From when on its sign is looked for. */
    public function from(): Day
    {
        return $this->since->plus($this->curing->least);
    }

    public function until(): Day
    {
        return $this->since->plus($this->curing->most);
    }
}
