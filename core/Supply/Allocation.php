<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Need\Need;

/**
 * Which planting serves which market day: needs in the order of days, the produce that is lost soonest first (so
 * that nothing spoils behind something younger), nothing before it is ready, nothing beyond its keeping time.
 * What waits in store shrinks by the weekly loss.
 */
final readonly class Allocation
{
    /**
     * @param list<int>                $served units served, by need
     * @param list<array<string, int>> $from   units by planting, by need
     * @param list<Lot>                $lots   in the order they go
     * @param list<array<int, int>>    $taken  units by lot, by need
     * @param list<float>              $left   units nobody took, by lot
     */
    private function __construct(public array $served, public array $from, public array $lots, public array $taken, public array $left)
    {
    }

    /**
     * @param list<Need> $needs
     * @param list<Lot>  $lots
     */
    public static function of(array $needs, array $lots): self
    {
        usort($lots, static fn (Lot $a, Lot $b): int => [$a->to, null === $a->goodUntil, $a->from, $a->planting]
            <=> [$b->to, null === $b->goodUntil, $b->from, $b->planting]);
        $left = array_map(static fn (Lot $lot): float => $lot->units, $lots);
        $served = [];
        $from = $taken = [];
        foreach ($needs as $need) {
            $wanted = $need->units;
            $sources = $parts = [];
            foreach ($lots as $i => $lot) {
                if (0 === $wanted) {
                    break;
                }
                if ($left[$i] <= 0 || !$lot->serves($need->day, $need->reach)) {
                    continue;
                }
                $sound = self::soundShare($lot, $need->day);
                $take = min($wanted, (int) floor($left[$i] * $sound + 1e-9));
                if ($take > 0) {
                    $left[$i] -= $take / $sound;
                    $wanted -= $take;
                    $parts[$i] = $take;
                    $sources[$lot->planting] = ($sources[$lot->planting] ?? 0) + $take;
                }
            }
            $served[] = $need->units - $wanted;
            $from[] = $sources;
            $taken[] = $parts;
        }

        return new self($served, $from, $lots, $taken, $left);
    }

    /** Share of a lot still sound on a day: it loses from the day it is ready, as the planner counts it. */
    private static function soundShare(Lot $lot, int $day): float
    {
        return $lot->weeklyLoss > 0.0 ? (1 - $lot->weeklyLoss) ** (max(0, $day - $lot->from) / 7) : 1.0;
    }
}
