<?php

declare(strict_types=1);

namespace JollyFurrow\Load;

use JollyFurrow\Boxes\MixMaking;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Wanted;
use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Day;

/** What of a load is packed as which product: what is ordered first, then what is promised, of what there is. */
final class LoadProducts
{
    /** @return list<LoadProduct> by name; what none is made of is left out */
    public static function of(Garden $garden, CropBook $crops, LoadList $load, Day $market): array
    {
        $there = $from = [];
        foreach ($load->lines as $line) {
            $item = $line->crop->item();
            $there[$item] = $line->units() * (1 - $crops->get($item)->produce->packingLoss);
            foreach ($line->picked as [$picked]) {
                $from[$item] = [...$from[$item] ?? [], ...$picked->beds()];
            }
            foreach ($line->stored as [$stored]) {
                $from[$item][] = $stored->holding->lot->key;
            }
        }
        $wanted = array_values(array_filter(Wanted::all($garden), static fn (Wanted $w): bool => $w->outlet === $load->outlet->key
            && $w->day->equals($market)));
        usort($wanted, static fn (Wanted $a, Wanted $b): int => [$b->firm + $b->standing > 0.0,
            $a->product] <=> [$a->firm + $a->standing > 0.0,
            $b->product]);
        $products = array_combine(array_map(static fn (Product $p): string => $p->key, $garden->products), $garden->products);
        $lines = [];
        foreach ($wanted as $one) {
            $product = $products[$one->product];
            $units = (int) ceil($one->quantity - 1e-9);
            $mix = MixMaking::of($product, $garden->market->mixes[$product->key] ?? null, $there, $units);
            foreach ($mix->of as $item => $some) {
                $there[$item] = ($there[$item] ?? 0.0) - $some;
            }
            $made = array_map(static fn ($part): string => $part->item, $product->parts);
            0 === $mix->made ?: $lines[] = new LoadProduct($product, $units, $mix->made, array_values(array_unique(array_merge(...array_map(
                static fn (string $item): array => $from[$item] ?? [], $made)))));
        }
        usort($lines, static fn (LoadProduct $a, LoadProduct $b): int => $a->product->name <=> $b->product->name);

        return $lines;
    }
}
