<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;

/**
 * Store and field against the promises, item by item: until when it lasts, and what will lie in each place week by week, by the
 * lots there are and those the plan brings. What the plan brings lies where it keeps longest.
 */
final readonly class StoreForecast
{
    public const WEEKS = 40;

    /**
     * @param array<string, ItemStock> $items by item
     * @param list<RoomWeeks>          $rooms in the order of the places
     */
    private function __construct(public Holdings $holdings, public array $items, public array $rooms)
    {
    }

    public static function of(Garden $garden, CropBook $crops): self
    {
        $holdings = Holdings::of($garden, $crops);
        $supply = new TrueSupply($garden, $crops);
        $needs = Needs::of($garden, $crops);
        $there = $holdings->byItem();
        $expected = [];
        foreach ($garden->plantings as $planting) {
            foreach ($crops->has($planting->item) ? $supply->lots($planting) : [] as $lot) {
                null !== $lot->goodUntil ?: $expected[$planting->item][] = [$lot, $crops->grown($planting->item, $planting->variety)];
            }
        }
        $items = [];
        foreach ($crops->keys() as $item) {
            $stored = $there[$item] ?? [];
            if ([] === $stored && !($crops->get($item)->produce->stored && isset($expected[$item]))) {
                continue;
            }
            $lying = array_map(self::ofHolding(...), $stored);
            $toCome = self::toCome($garden, $expected[$item] ?? []);
            $lots = [...$lying, ...$toCome];
            $wanted = array_values(array_map(static fn (Need $n): StockNeed => new StockNeed($n->day, (float) $n->units),
                array_filter($needs->for($item), static fn (Need $n): bool => $n->day >= $garden->today->number)));
            $until = LastsUntil::of($wanted, $lots);
            $items[$item] = new ItemStock($item, $crops->get($item), $stored, $lots, $wanted, FirstOut::of($wanted, $lots), $until,
                GroundHold::of($garden, $expected[$item] ?? [], $lying, $wanted), OtherStore::best($garden, $stored, $toCome, $wanted,
                    $until));
        }

        return new self($holdings, $items, self::rooms($garden, $items, $expected));
    }

    /** @return list<ItemStock> that do not last, the first to end first */
    public function short(): array
    {
        $short = array_values(array_filter($this->items, static fn (ItemStock $i): bool => null !== $i->until->firstShort));
        usort($short, static fn (ItemStock $a, ItemStock $b): int => [$a->until->firstShort,
            $a->item] <=> [$b->until->firstShort, $b->item]);

        return $short;
    }

    /** Where a crop keeps longest, of the places there are that are no curing places; null: there is none. */
    public static function bestPlace(Garden $garden, Crop $crop): ?StorePlace
    {
        $life = new ShelfLife($garden->store->keeping->of($crop));
        $best = null;
        foreach ($garden->store->places as $place) {
            $rate = $life->rate($place->celsius, (float) $place->humidity);
            $best = $place->kind->isForKeeping() && (null === $best || $rate < $best[1] - 1e-9) ? [$place, $rate] : $best;
        }

        return $best[0] ?? null;
    }

    private static function ofHolding(Holding $holding): StockLot
    {
        return new StockLot($holding->lot->key.' '.$holding->place->key, $holding->goodFrom->number, $holding->likely->number,
            $holding->units(), $holding->crop->produce->weeklyLoss, true);
    }

    /**
     * @param list<array{Lot, Crop}> $expected
     *
     * @return list<StockLot> what the plan still brings; cut or lifted at the latest when its bed is cleared
     */
    private static function toCome(Garden $garden, array $expected): array
    {
        $lots = [];
        foreach ($expected as $n => [$lot, $crop]) {
            if ($lot->to >= $garden->today->number) {
                $lots[] = new StockLot($lot->planting.' '.$n, max($lot->from, $garden->today->number),
                    $lot->to + $crop->produce->keepingDays,
                    $lot->units, $lot->weeklyLoss);
            }
        }

        return $lots;
    }

    /**
     * @param array<string, ItemStock>              $items
     * @param array<string, list<array{Lot, Crop}>> $expected
     *
     * @return list<RoomWeeks>
     */
    private static function rooms(Garden $garden, array $items, array $expected): array
    {
        $monday = $garden->today->week()->monday();
        $crates = [];
        foreach ($items as $item => $stock) {
            $crate = $garden->store->keeping->of($stock->crop)->crate;
            foreach ($stock->holdings as $holding) {
                $lot = self::ofHolding($holding);
                for ($n = 0; $n < self::WEEKS; ++$n) {
                    $day = max($garden->today->number, $monday->number + 7 * $n);
                    $crates[$holding->place->key][$n][$item] = ($crates[$holding->place->key][$n][$item] ?? 0.0) + $stock->left($lot, $day)
                        / $crate;
                }
            }
            $place = self::bestPlace($garden, $stock->crop);
            if (null === $place || !$stock->crop->produce->stored) {
                continue;
            }
            foreach (self::toCome($garden, $expected[$item] ?? []) as $lot) {
                $lifted = self::lifted($expected[$item], $lot);
                for ($n = 0; $n < self::WEEKS; ++$n) {
                    $day = $monday->number + 7 * $n;
                    $crates[$place->key][$n][$item] = ($crates[$place->key][$n][$item] ?? 0.0) + ($day >= $lifted ? $stock->left($lot, $day)
                        / $crate : 0.0);
                }
            }
        }

        return array_map(static fn (StorePlace $p): RoomWeeks => new RoomWeeks($p, $monday, $crates[$p->key] ?? []),
            $garden->store->places);
    }

    /**
     * The day something comes into store: what ripens at once when it is ripe, what is dug as it is wanted when its bed is cleared.
     *
     * @param list<array{Lot, Crop}> $expected
     */
    private static function lifted(array $expected, StockLot $lot): int
    {
        foreach ($expected as $n => [$one, $crop]) {
            if ($lot->key === $one->planting.' '.$n) {
                return Pattern::Once === $crop->pattern ? min($one->to, $one->from + $crop->timing->spread) : $one->to;
            }
        }

        return $lot->last;
    }
}
