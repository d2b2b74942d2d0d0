<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Storage\StorePlace;

/** Until when a crop would last if it lay elsewhere, or colder where it lies. */
final readonly class OtherStore
{
    /** Degrees. */
    private const COLDER = 4.0;

    /**
     * @param StorePlace|null $place  moved there today; null: left where it is
     * @param float           $colder by so many degrees
     * @param LastsUntil      $until  then
     */
    private function __construct(public ?StorePlace $place, public float $colder, public LastsUntil $until)
    {
    }

    /**
     * What would do most: the place there is where it keeps longest, or the same places a little colder.
     *
     * @param list<Holding>   $holdings of one item
     * @param list<StockLot>  $toCome
     * @param list<StockNeed> $needs
     *
     * @return self|null null: nothing would make it last longer
     */
    public static function best(Garden $garden, array $holdings, array $toCome, array $needs, LastsUntil $now): ?self
    {
        if ([] === $holdings || null === $now->firstShort) {
            return null;
        }
        $life = new ShelfLife($holdings[0]->needs);
        $best = StoreForecast::bestPlace($garden, $holdings[0]->crop);
        $ways = null === $best ? [] : [[$best, 0.0, static fn (Holding $h): float => $life->rate($best->celsius, (float) $best->humidity)]];
        $ways[] = [null, self::COLDER, static fn (Holding $h): float => $life->rate(max($h->needs->celsius,
            $h->place->celsius - self::COLDER), (float) $h->place->humidity)];
        $found = null;
        foreach ($ways as [$place, $colder, $rate]) {
            $lots = array_map(static fn (Holding $h): StockLot => new StockLot($h->lot->key.' '.$h->place->key, $h->goodFrom->number,
                max($h->likely->number, $h->goodAt($rate($h), $garden->today)->number), $h->units(), $h->crop->produce->weeklyLoss, true),
                $holdings);
            $until = LastsUntil::of($needs, [...$lots, ...$toCome]);
            $found = self::isBetter($until, $found->until ?? $now) ? new self($place, $colder, $until) : $found;
        }

        return $found;
    }

    private static function isBetter(LastsUntil $one, LastsUntil $than): bool
    {
        return [$one->firstShort ?? \PHP_INT_MAX, -$one->short] > [$than->firstShort ?? \PHP_INT_MAX, -$than->short];
    }
}
