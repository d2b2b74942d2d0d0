<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Time\Day;

/** How an outlet buys: ordered ahead until some days before its market day, or taken along and seen what sells. */
final readonly class Terms
{
    /**
     * @param int|null $closesDays orders come in until the end of the day so many days before; null: taken and seen
     * @param int      $hour       of that day, 1 to 24
     * @param int      $second     per cent of its price what is brought back still fetches
     */
    public function __construct(public string $outlet, public ?int $closesDays = null, public int $hour = 24, public int $second = 0)
    {
    }

    /** The last day on which an order for a market day may change; null: there are no orders. */
    public function closesOn(Day $market): ?Day
    {
        return null === $this->closesDays ? null : $market->plus(-$this->closesDays);
    }

    /** After it only what was ordered is wanted. */
    public function isClosed(Day $market, Day $today, int $hour = 0): bool
    {
        $last = $this->closesOn($market);

        return null !== $last && ($last->isBefore($today) || ($last->equals($today) && $hour >= $this->hour));
    }
}
