<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

/** Until when what there is lasts, and what share of the promises it would keep to the end. */
final readonly class LastsUntil
{
    private const STEPS = 30;

    /**
     * @param int|null $firstShort day number of the first day short of the promises as they are; null: it lasts
     * @param float    $short      units short by then to the last promised day
     * @param float    $share      of the promises that leaves no day short to the last
     * @param int|null $gap        the first day without any good lot; the share holds up to it
     * @param int|null $firmShort  the first day not even the orders are kept; null: they are
     */
    private function __construct(public ?int $firstShort, public float $short, public float $share, public ?int $gap,
        public ?int $firmShort)
    {
    }

    /**
     * @param list<StockNeed> $needs in the order of days
     * @param list<StockLot>  $lots
     */
    public static function of(array $needs, array $lots): self
    {
        $all = FirstOut::of($needs, $lots);
        $first = $all->firstShort();
        if (null === $first) {
            return new self(null, 0.0, 1.0, null, null);
        }
        $short = array_sum($all->short);
        $gap = self::gap($needs, $lots);
        $kept = null === $gap ? $needs : array_values(array_filter($needs, static fn (StockNeed $n): bool => $n->day < $gap));
        $firm = FirstOut::of(self::scaled($kept, 0.0), $lots)->firstShort();
        if (null !== $firm) {
            return new self(self::earliest($needs, $all), $short, 0.0, $gap, $kept[$firm]->day);
        }

        return new self(self::earliest($needs, $all), $short, self::share($kept, $lots), $gap, null);
    }

    /**
     * @param list<StockNeed> $needs
     * @param list<StockLot>  $lots
     */
    private static function share(array $needs, array $lots): float
    {
        [$low, $high] = [0.0, 1.0];
        if (!FirstOut::of($needs, $lots)->isShort()) {
            return 1.0;
        }
        for ($n = 0; $n < self::STEPS; ++$n) {
            $middle = ($low + $high) / 2;
            FirstOut::of(self::scaled($needs, $middle), $lots)->isShort() ? $high = $middle : $low = $middle;
        }

        return $low;
    }

    /**
     * Orders whole, of promises a share, in whole units.
     *
     * @param list<StockNeed> $needs
     *
     * @return list<StockNeed>
     */
    private static function scaled(array $needs, float $share): array
    {
        return array_map(static fn (StockNeed $n): StockNeed => $n->isFirm ? $n : new StockNeed($n->day, floor($n->units * $share + 1e-9),
            false, $n->takes), $needs);
    }

    /**
     * @param list<StockNeed> $needs
     * @param list<StockLot>  $lots
     */
    private static function gap(array $needs, array $lots): ?int
    {
        foreach ($needs as $need) {
            if ($need->units > 0.0 && [] === array_filter($lots, static fn (StockLot $l): bool => $need->accepts($l))) {
                return $need->day;
            }
        }

        return null;
    }

    /** @param list<StockNeed> $needs */
    private static function earliest(array $needs, FirstOut $out): int
    {
        $days = [];
        foreach ($needs as $n => $need) {
            if ($out->short[$n] > Kernel\Taking::EPSILON) {
                $days[] = $need->day;
            }
        }

        return min($days ?: [0]);
    }
}
