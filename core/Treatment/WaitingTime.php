<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Time\Day;

/**
 * What a treatment would cost: the pickings that fall into its waiting time. Sprayed the evening of a picking, that picking
 * is not one of them.
 */
final readonly class WaitingTime
{
    /**
     * Check (common practice): ten days' wait and a picking every ten days, sprayed the evening of one: none lost; every seven: one.
     *
     * @param list<int> $pickings day numbers
     *
     * @return list<int> those lost
     */
    public static function lost(Day $day, int $wait, array $pickings): array
    {
        return array_values(array_filter($pickings, static fn (int $p): bool => $p > $day->number && $p < $day->number + $wait));
    }

    /**
     * The day of some to come on which fewest pickings are lost, the first of equals.
     *
     * @param list<int> $pickings day numbers
     */
    public static function best(Day $from, int $days, int $wait, array $pickings): Day
    {
        $best = $from;
        $fewest = \PHP_INT_MAX;
        for ($n = 0; $n < $days; ++$n) {
            $lost = \count(self::lost($from->plus($n), $wait, $pickings));
            if ($lost < $fewest) {
                [$best, $fewest] = [$from->plus($n), $lost];
            }
        }

        return $best;
    }
}
