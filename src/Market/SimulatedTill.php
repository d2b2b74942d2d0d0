<?php

declare(strict_types=1);

namespace App\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Day;

/** A stand-in for a till: the takings of a market day as a file, made up for practice gardens only. */
final readonly class SimulatedTill
{
    public function isThere(Garden $garden): bool
    {
        return null !== $garden->practice;
    }

    /** Seven to ten tenths of what was promised, at the day's prices. */
    public function file(Garden $garden, Outlet $outlet, Day $day): string
    {
        $rows = ['Product,Units,Amount'];
        $products = array_column($garden->products, null, 'key');
        foreach ($this->isThere($garden) ? $garden->promises : [] as $promise) {
            if ($promise->outlet === $outlet->key && $promise->day->equals($day)) {
                $product = $products[$promise->product];
                $units = (int) floor($promise->quantity * self::share($garden, $promise));
                $rows[] = \sprintf('"%s",%d,%.2f', $product->name, $units, $garden->market->price($outlet->key, $product, $day)
                    ->cents($units) / 100);
            }
        }

        return implode("\n", $rows);
    }

    private static function share(Garden $garden, Promise $promise): float
    {
        return 0.7 + (crc32(($garden->practice->seed ?? 0).'/'.$promise->product.'/'.$promise->day->number) % 31) / 100;
    }
}
