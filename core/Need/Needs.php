<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;

/**
 * Promises turned into dated needs of items: products are taken apart by their fixed shares, products
 * of one item are added up per market day, and the packing loss is put on top: ceil(promise / (1 - loss)).
 * Orders count where they are more, or where nothing more can be ordered (Wanted).
 * Market days already past are in it too: what was promised then is no longer in the ground or in store.
 */
final readonly class Needs
{
    /** @param array<string, list<Need>> $byItem in the order of days; on one day the least fresh first */
    private function __construct(private array $byItem)
    {
    }

    public static function of(Garden $garden, CropBook $book): self
    {
        $sums = self::wanted($garden);
        $outlets = self::byPriority($garden->outlets);
        $byItem = [];
        foreach ($sums as $item => $days) {
            ksort($days);
            foreach ($days as $day => $byOutlet) {
                foreach (self::onDay((int) $day, $byOutlet, $outlets, $book, (string) $item) as $need) {
                    $byItem[(string) $item][] = $need;
                }
            }
        }
        ksort($byItem);

        return new self($byItem);
    }

    /** @return list<string> */
    public function items(): array
    {
        return array_keys($this->byItem);
    }

    /** @return list<Need> */
    public function for(string $item): array
    {
        return $this->byItem[$item] ?? [];
    }

    /** @return array<string, array<int, array<string, float>>> item, day, outlet => units wanted, before the packing loss */
    public static function promised(Garden $garden): array
    {
        return array_map(static fn (array $days): array => array_map(static fn (array $outlets): array => array_map(
            static fn (array $units): float => $units[0], $outlets), $days), self::wanted($garden));
    }

    /** @return array<string, array<int, array<string, array{float, float, float}>>> the same, and what of it is ordered firmly and standing */
    private static function wanted(Garden $garden): array
    {
        $products = [];
        foreach ($garden->products as $product) {
            $products[$product->key] = $product;
        }
        $sums = [];
        foreach (Wanted::all($garden) as $one) {
            foreach ($products[$one->product]->parts as $part) {
                $before = $sums[$part->item][$one->day->number][$one->outlet] ?? [0.0, 0.0, 0.0];
                $sums[$part->item][$one->day->number][$one->outlet] = [$before[0] + $one->quantity * $part->units,
                    $before[1] + $one->firm * $part->units, $before[2] + $one->standing * $part->units];
            }
        }

        return $sums;
    }

    /**
     * @param list<Outlet> $outlets
     *
     * @return array<string, Outlet> the one served first comes first
     */
    private static function byPriority(array $outlets): array
    {
        usort($outlets, static fn (Outlet $a, Outlet $b): int => [$a->priority, $a->key] <=> [$b->priority, $b->key]);

        return array_combine(array_map(static fn (Outlet $o): string => $o->key, $outlets), $outlets);
    }

    /**
     * @param array<string, array{float, float, float}> $wanted
     * @param array<string, Outlet>                     $outlets
     *
     * @return list<Need>
     */
    private static function onDay(int $day, array $wanted, array $outlets, CropBook $book, string $item): array
    {
        $produce = $book->get($item)->produce;
        $groups = $ordered = [];
        $units = static fn (float $wanted): int => (int) ceil($wanted / (1 - $produce->packingLoss) - 1e-9);
        foreach ($outlets as $key => $outlet) {
            if (isset($wanted[$key])) {
                [$all, $firm, $standing] = $wanted[$key];
                $groups[$outlet->reach($produce)][$key] = $units($all);
                $firm + $standing <= 0.0 ?: $ordered[$outlet->reach($produce)][$key] = [min($units($all), $units($firm)), min($units($all),
                    $units($firm + $standing)) - min($units($all), $units($firm))];
            }
        }
        krsort($groups);
        $needs = [];
        foreach ($groups as $reach => $byOutlet) {
            $needs[] = new Need($day, $reach, array_sum($byOutlet), $byOutlet, $ordered[$reach] ?? []);
        }

        return $needs;
    }
}
