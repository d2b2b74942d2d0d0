<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Part;

/**
 * What a unit of each item fetches, on the average of what is promised. A mix's price is split over its parts by
 * their share of its units (own model: a mix has no price for its parts).
 */
final class Values
{
    /** @return array<string, float> cents a unit, by item */
    public static function of(Garden $garden): array
    {
        $quantity = [];
        foreach ($garden->promises as $promise) {
            $quantity[$promise->product] = ($quantity[$promise->product] ?? 0.0) + $promise->quantity;
        }
        $cents = [];
        $units = [];
        foreach ($garden->products as $product) {
            $all = array_sum(array_map(static fn (Part $part): float => $part->units, $product->parts));
            $weight = max(0.001, $quantity[$product->key] ?? 0.0);
            foreach ($product->parts as $part) {
                $cents[$part->item] = ($cents[$part->item] ?? 0.0) + $weight * $product->price->cents * $part->units / $all;
                $units[$part->item] = ($units[$part->item] ?? 0.0) + $weight * $part->units;
            }
        }

        foreach ($cents as $item => $sum) {
            $cents[$item] = $sum / $units[$item];
        }

        return $cents;
    }
}
