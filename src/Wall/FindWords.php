<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Garden\Garden;

/** What a crop may be found by on the wall besides its name: the products it goes into and the outlets these are promised to. */
final class FindWords
{
    /** @return array<string, string> lower case, by item */
    public static function of(Garden $garden): array
    {
        $outlets = array_column($garden->outlets, 'name', 'key');
        $promised = [];
        foreach ($garden->promises as $promise) {
            $promised[$promise->product][$outlets[$promise->outlet] ?? ''] = true;
        }
        $words = [];
        foreach ($garden->products as $product) {
            foreach ($product->parts as $part) {
                $words[$part->item][] = implode(' ', [$product->name, ...array_keys($promised[$product->key] ?? [])]);
            }
        }

        return array_map(static fn (array $of): string => mb_strtolower(implode(' ', array_unique($of))), $words);
    }
}
