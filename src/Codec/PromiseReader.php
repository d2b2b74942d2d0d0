<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;

/** Outlets, products and promises of a garden file. */
final readonly class PromiseReader
{
    public function __construct(private CropBook $book)
    {
    }

    /** @return array<string, Outlet> */
    public function outlets(Node $root): array
    {
        $outlets = [];
        foreach ($root->objects('outlets', Limits::OUTLETS) as $node) {
            $key = $node->key('key');
            if (isset($outlets[$key])) {
                $node->fault('key', 'stands twice; every outlet needs a key of its own.');
            }
            $outlets[$key] = new Outlet($key, $node->text('name'), self::marketDays($node), $node->int('priority', 1,
                99), $node->int('pick_window_days', 0, 30), $node->optionalInt('pick_to_sale_days', 0, 30));
        }

        return $outlets;
    }

    private static function marketDays(Node $node): MarketDays
    {
        $weekdays = array_map(static fn (mixed $n): ?Weekday => \is_int($n) ? Weekday::tryFrom($n) : null,
            $node->has('weekdays') ? $node->list('weekdays', 7) : []);
        if (\in_array(null, $weekdays, true)) {
            $node->fault('weekdays', 'must be days of the week as numbers, from 1 for Monday to 7 for Sunday.');
        }
        $weekdays = array_values(array_filter($weekdays));
        $closed = [];
        foreach ($node->has('closed') ? $node->objects('closed', 200) : [] as $time) {
            [$from, $to] = [$time->day('from'), $time->day('to')];
            if ($to->isBefore($from)) {
                $time->fault('to', 'lies before the first day it is closed.');
                continue;
            }
            $closed[] = Period::fromFirstToLast($from, $to);
        }

        return MarketDays::every(...([] === $weekdays ? [$node->choice('weekday', Weekday::class)] : $weekdays))->butNot($closed);
    }

    /** @return array<string, Product> */
    public function products(Node $root): array
    {
        $products = [];
        foreach ($root->objects('products', Limits::PRODUCTS) as $node) {
            $key = $node->key('key');
            if (isset($products[$key])) {
                $node->fault('key', 'stands twice; every product needs a key of its own.');
            }
            $parts = array_map($this->part(...), $node->objects('parts', 20));
            if ([] === $parts) {
                $node->fault('parts', 'is empty; a product is made of at least one item.');
                continue;
            }
            $products[$key] = new Product($key, $node->text('name'), $node->text('unit', 40),
                Money::fromCents($node->int('price_cents', 0, 10_000_000)), $parts);
        }

        return $products;
    }

    /**
     * @param list<string> $outlets
     * @param list<string> $products
     *
     * @return list<Promise>
     */
    public function promises(Node $root, array $outlets, array $products): array
    {
        $promises = [];
        $seen = [];
        foreach ($root->objects('promises', Limits::PROMISES) as $node) {
            $outlet = $node->key('outlet');
            $product = $node->key('product');
            $day = $node->day('day');
            if (!\in_array($outlet, $outlets, true)) {
                $node->fault('outlet', 'is not among the outlets of this file.');
            }
            if (!\in_array($product, $products, true)) {
                $node->fault('product', 'is not among the products of this file.');
            }
            if (isset($seen[$outlet][$product][$day->number])) {
                $node->fault('day', 'has this product for this outlet already.');
            }
            $seen[$outlet][$product][$day->number] = true;
            $promises[] = new Promise($outlet, $product, $day, $node->float('quantity', 0, 1_000_000));
        }

        return $promises;
    }

    private function part(Node $node): Part
    {
        $item = $node->key('item');
        if (!$this->book->hasItem($item)) {
            $node->fault('item', 'is not in the crop book.');
        }

        return new Part($item, $node->float('units', 0.001, 100_000));
    }
}
