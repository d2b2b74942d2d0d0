<?php

declare(strict_types=1);

namespace App\Promise;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Day;

/** The promises to one outlet over some weeks: products down, market days across. */
final readonly class PromiseGrid
{
    public const WEEKS = 8;

    /**
     * @param list<Day>                        $days
     * @param array<string, array<int, float>> $quantity by product and day number
     * @param array<string, float>             $rowTotal units by product
     * @param array<int, float>                $dayTotal cents by day number
     */
    private function __construct(public Outlet $outlet, public array $days, public array $quantity, public array $rowTotal,
        public array $dayTotal, public float $total)
    {
    }

    public static function of(Garden $garden, Outlet $outlet, Day $from): self
    {
        $monday = $from->week()->monday();
        $days = $outlet->days->between($monday, $monday->plus(7 * self::WEEKS - 1));
        $prices = [];
        foreach ($garden->products as $product) {
            $prices[$product->key] = $product->price->cents;
        }
        $shown = array_fill_keys(array_map(static fn (Day $d): int => $d->number, $days), 0.0);
        $quantity = [];
        $rowTotal = [];
        $dayTotal = $shown;
        foreach ($garden->promises as $promise) {
            if ($promise->outlet === $outlet->key && isset($shown[$promise->day->number])) {
                $quantity[$promise->product][$promise->day->number] = $promise->quantity;
                $rowTotal[$promise->product] = ($rowTotal[$promise->product] ?? 0.0) + $promise->quantity;
                $dayTotal[$promise->day->number] += $promise->quantity * $prices[$promise->product];
            }
        }

        return new self($outlet, $days, $quantity, $rowTotal, $dayTotal, array_sum($dayTotal));
    }
}
