<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Units;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** @extends GardenList<Promise> */
final readonly class PromisesList extends GardenList
{
    private const MOST = 100_000;

    public function heads(): array
    {
        return ['outlet' => ['Outlet', 'customer'], 'product' => ['Product', 'item'], 'day' => ['Day', 'date', 'market day'],
            'quantity' => ['Quantity', 'how many', 'amount']];
    }

    protected function needs(): array
    {
        return ['outlet', 'product', 'day', 'quantity'];
    }

    public function rows(Garden $garden): array
    {
        $outlets = array_column($garden->outlets, 'name', 'key');
        $products = array_column($garden->products, 'name', 'key');
        $rows = [];
        foreach ($garden->promises as $promise) {
            $rows[$promise->outlet.'/'.$promise->product.'/'.$promise->day->iso()] = ['outlet' => $outlets[$promise->outlet],
                'product' => $products[$promise->product], 'day' => $promise->day->iso(), 'quantity' => Units::number($promise->quantity,
                    2)];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        try {
            return self::named($garden->outlets, $cells['outlet'])?->key.'/'.self::named($garden->products, $cells['product'])?->key.'/'
                .Day::parse($cells['day'])->iso();
        } catch (InvalidDay) {
            return '';
        }
    }

    /** Nothing, or nought, takes a promise away. */
    protected function item(Garden $garden, Entry $entry, string $key): ?Promise
    {
        $outlet = self::named($garden->outlets, $entry->raw('outlet'));
        $product = self::named($garden->products, $entry->raw('product'));
        $day = $entry->day('day');
        $quantity = '' === $entry->raw('quantity') ? 0.0 : $entry->float('quantity', 0, self::MOST);
        if (!$outlet instanceof Outlet) {
            $entry->fault('outlet', 'There is no such outlet.');
        } elseif ($entry->isGood() && '' === $key && !$outlet->days->isOpenOn($day)) {
            $entry->fault('day', \sprintf('%s is not there on that day.', $outlet->name));
        }
        if (!$product instanceof Product) {
            $entry->fault('product', 'There is no such product.');
        }

        return $entry->isGood() && $outlet instanceof Outlet && $product instanceof Product
            ? new Promise($outlet->key, $product->key, $day, round($quantity, 2)) : null;
    }

    /** @param list<Outlet>|list<Product> $all */
    private static function named(array $all, string $name): Outlet|Product|null
    {
        foreach ($all as $one) {
            if (\in_array(mb_strtolower($name), [mb_strtolower($one->name), $one->key], true)) {
                return $one;
            }
        }

        return null;
    }
}
