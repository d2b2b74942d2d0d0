<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Crop\Produce;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;

/** Who is promised vegetables, on which days of the week, and how fresh they must be. */
final readonly class Outlet
{
    public MarketDays $days;

    /**
     * @param int      $priority       1 is served first when there is not enough
     * @param int      $pickWindowDays picking for a market day opens so many days before it
     * @param int|null $pickToSaleDays nothing older is taken; null: stored goods are welcome
     */
    public function __construct(
        public string $key,
        public string $name,
        MarketDays|Weekday $days,
        public int $priority,
        public int $pickWindowDays,
        public ?int $pickToSaleDays,
    ) {
        $this->days = $days instanceof Weekday ? MarketDays::every($days) : $days;
    }

    /** How many days old produce may be on this outlet's market day. */
    public function reach(Produce $produce): int
    {
        $reach = $produce->stored ? $produce->keepingDays : min($produce->keepingDays, $this->pickWindowDays);

        return null === $this->pickToSaleDays ? $reach : min($reach, $this->pickToSaleDays);
    }

    /**
     * Promises of this outlet from a day on that fall on days it is not there.
     *
     * @param list<Promise> $promises of all outlets
     *
     * @return list<Promise>
     */
    public function cannotKeep(array $promises, Day $from): array
    {
        return array_values(array_filter($promises, fn (Promise $promise): bool => $promise->outlet === $this->key
            && !$promise->day->isBefore($from) && !$this->days->isOpenOn($promise->day)));
    }
}
