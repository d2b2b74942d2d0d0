<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Time\Day;

/** How market days of a practice garden went: near what was promised, by chance of the seed and the weather, out of what was picked. */
final readonly class Stall
{
    /** What was picked goes to a market so many days later at most. */
    private const DAYS = 4;
    private const WET_MM = 4.0;
    private const HOT = 29.0;
    private const COLD = 9.0;
    /** Of what is asked for on a fair day, per cent. */
    private const ASKED = ['fair' => 100, 'hot' => 88, 'cold' => 80, 'wet' => 62];

    /** @return list<MarketDay> of the garden's day, the outlet served first first */
    public static function of(Garden $garden, int $seed): array
    {
        $there = self::picked($garden);
        $outlets = $garden->outlets;
        usort($outlets, static fn (Outlet $a, Outlet $b): int => [$a->priority, $a->key] <=> [$b->priority, $b->key]);
        $days = [];
        foreach ($outlets as $outlet) {
            $promised = [];
            foreach ($garden->promises as $promise) {
                if ($promise->outlet === $outlet->key && $promise->day->equals($garden->today)) {
                    $promised[$promise->product] = $promise->quantity;
                }
            }
            if ([] === $promised || !$outlet->days->isOpenOn($garden->today)) {
                continue;
            }
            $most = [];
            foreach ($garden->products as $product) {
                if (isset($promised[$product->key])) {
                    $most[$product->key] = self::most($product, $there, (int) ceil($promised[$product->key]));
                    foreach ($product->parts as $part) {
                        $there[$part->item] = ($there[$part->item] ?? 0.0) - $most[$product->key] * $part->units;
                    }
                }
            }
            $day = self::gone($outlet->key, $garden->today, $promised, $most, self::weather($garden), $seed,
                null === $garden->market->termsOf($outlet->key)->closesDays);
            null === $day ?: $days[] = $day;
        }

        return $days;
    }

    /**
     * One market day by chance.
     *
     * @param array<string, float> $promised by product
     * @param array<string, int>   $most     units there are, by product
     * @param bool                 $isSeen   taken and seen: what is not asked for comes back; else all of it was ordered
     */
    public static function gone(string $outlet, Day $day, array $promised, array $most, Weathering $weather, int $seed,
        bool $isSeen): ?MarketDay
    {
        $lines = [];
        foreach ($promised as $product => $quantity) {
            $taken = min($most[$product] ?? \PHP_INT_MAX, (int) round($quantity * (1.0 + self::chance($seed,
                "$outlet/$product/t/".$day->number)
                % 16 / 100)));
            $asked = $isSeen ? (int) round($quantity * self::ASKED[$weather->value] / 100 * (0.75 + self::chance($seed,
                "$outlet/$product/a/".$day->number) % 51 / 100)) : $taken;
            if ($taken < 1) {
                continue;
            }
            $sold = min($taken, $asked);
            $lost = $taken > $sold && 0 === self::chance($seed, "$outlet/$product/l/".$day->number) % 5 ? 1 : 0;
            $minutes = 480 + self::chance($seed, "$outlet/$product/o/".$day->number) % 240;
            $lines[] = new Sold((string) $product, $taken, $taken - $sold - $lost, 0, $lost, null, $asked > $taken ? \sprintf('%02d:%02d',
                intdiv($minutes, 60), $minutes % 60) : null);
        }

        return [] === $lines ? null : new MarketDay($outlet, $day, $lines, $weather);
    }

    private static function weather(Garden $garden): Weathering
    {
        $n = $garden->today->number;
        $measured = $garden->climate->measured;

        return match (true) {
            ($measured->rain[$n] ?? 0.0) >= self::WET_MM => Weathering::Wet,
            ($measured->max[$n] ?? 18.0) >= self::HOT => Weathering::Hot,
            ($measured->max[$n] ?? 18.0) <= self::COLD => Weathering::Cold,
            default => Weathering::Fair,
        };
    }

    /** @return array<string, float> units of each item that were picked for market or taken out of store for today */
    private static function picked(Garden $garden): array
    {
        $there = $items = [];
        foreach ($garden->store->harvests as $lot) {
            $items[$lot->key] = $lot->item;
            $ago = $garden->today->since($lot->day);
            if ('' === $lot->place && $ago >= 0 && $ago <= self::DAYS && $lot->grade->isSold()) {
                $there[$lot->item] = ($there[$lot->item] ?? 0.0) + $lot->units();
            }
        }
        foreach ($garden->store->handlings as $handling) {
            if (HandlingKind::Sold === $handling->kind && $handling->day->equals($garden->today) && isset($items[$handling->lot])) {
                $there[$items[$handling->lot]] = ($there[$items[$handling->lot]] ?? 0.0) + $handling->hundredths / 100;
            }
        }
        // What went to the market days just before is no longer there.
        foreach ($garden->market->days as $day) {
            $ago = $garden->today->since($day->day);
            foreach ($ago > 0 && $ago < self::DAYS ? $day->lines : [] as $line) {
                foreach (array_column($garden->products, null, 'key')[$line->product]->parts ?? [] as $part) {
                    $there[$part->item] = ($there[$part->item] ?? 0.0) - ($line->taken - $line->back) * $part->units;
                }
            }
        }

        return $there;
    }

    /** @param array<string, float> $there */
    private static function most(Product $product, array $there, int $wanted): int
    {
        $most = 2 * $wanted;
        foreach ($product->parts as $part) {
            $most = min($most, (int) floor(max(0.0, $there[$part->item] ?? 0.0) / $part->units));
        }

        return $most;
    }

    private static function chance(int $seed, string $of): int
    {
        return (int) hexdec(substr(hash('xxh32', $seed.'/'.$of), 0, 6));
    }
}
