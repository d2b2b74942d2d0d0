<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Produce;

/** What the promises ask for, reckoned from the garden file: units by item and market day, and by outlet. */
final readonly class NeedSums
{
    public function __construct(private Sheet $garden, private CropBook $book)
    {
    }

    /** @return array<string, array<string, array<string, int>>> item => "day/reach" => outlet => units, the outlet served first comes first */
    public function all(): array
    {
        $parts = [];
        foreach ($this->garden->parts('products') as $product) {
            $parts[$product->text('key')] = $product->parts('parts');
        }
        $wanted = [];
        foreach ((new OrderSums($this->garden))->wanted() as [$outlet, $product, $day, $quantity]) {
            foreach ($quantity > 0 ? $parts[$product] ?? [] : [] as $part) {
                $wanted[$part->text('item')][$day][$outlet] = ($wanted[$part->text('item')][$day][$outlet] ?? 0.0)
                    + $quantity * $part->number('units');
            }
        }
        $outlets = $this->garden->parts('outlets');
        usort($outlets, static fn (Sheet $a, Sheet $b): int => [$a->number('priority'), $a->text('key')] <=> [$b->number('priority'),
            $b->text('key')]);
        $sums = [];
        foreach ($wanted as $item => $days) {
            foreach ($this->book->has($item) ? $days : [] as $day => $byOutlet) {
                $produce = $this->book->get($item)->produce;
                foreach ($outlets as $outlet) {
                    if (isset($byOutlet[$outlet->text('key')])) {
                        $sums[$item][$day.'/'.self::reach($outlet,
                            $produce)][$outlet->text('key')] = (int) ceil($byOutlet[$outlet
                                ->text('key')] / (1 - $produce->packingLoss) - 1e-9);
                    }
                }
            }
        }

        return $sums;
    }

    /** What a unit of each item fetches, cents; a mix's price is split by units.
     *
     * @return array<string, float>
     */
    public function values(): array
    {
        $quantity = [];
        foreach ($this->garden->parts('promises') as $promise) {
            $quantity[$promise->text('product')] = ($quantity[$promise->text('product')] ?? 0.0) + $promise->number('quantity');
        }
        $cents = $units = [];
        foreach ($this->garden->parts('products') as $product) {
            $whole = array_sum(array_map(static fn (Sheet $part): float => $part->number('units'), $product->parts('parts')));
            $weight = max(0.001, $quantity[$product->text('key')] ?? 0.0);
            foreach ($whole > 0.0 ? $product->parts('parts') : [] as $part) {
                $cents[$part->text('item')] = ($cents[$part->text('item')]
                    ?? 0.0) + $weight * $product->number('price_cents') * $part->number('units') / $whole;
                $units[$part->text('item')] = ($units[$part->text('item')] ?? 0.0) + $weight * $part->number('units');
            }
        }
        $values = [];
        foreach ($cents as $item => $sum) {
            $values[$item] = $sum / $units[$item];
        }

        return $values;
    }

    private static function reach(Sheet $outlet, Produce $produce): int
    {
        $reach = $produce->stored ? $produce->keepingDays : min($produce->keepingDays, (int) $outlet->number('pick_window_days'));

        return $outlet->has('pick_to_sale_days') ? min($reach, (int) $outlet->number('pick_to_sale_days')) : $reach;
    }
}
