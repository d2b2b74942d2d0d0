<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Sold;

/** A till's file of the day: a line a sale, or a line a product; product, how many, and what was taken for them in all. */
final readonly class TillFile
{
    private const HEADS = ['product' => ['product', 'item', 'article', 'name'], 'units' => ['units', 'quantity', 'qty', 'sold', 'count'],
        'amount' => ['amount', 'total', 'takings', 'sum'], 'time' => ['time', 'at']];

    /**
     * @param list<Sold>   $lines   taken is what was sold: what came back is counted
     * @param list<string> $unknown lines that name no product of the garden, or cannot be read
     */
    private function __construct(public array $lines, public array $unknown)
    {
    }

    /** @param list<Product> $products */
    public static function read(string $text, array $products): self
    {
        $rows = array_values(array_filter(preg_split('/\R/', trim($text)) ?: [], static fn (string $row): bool => '' !== trim($row)));
        $mark = str_contains($rows[0] ?? '', ';') ? ';' : (str_contains($rows[0] ?? '', "\t") ? "\t" : ',');
        $cells = array_map(static fn (string $row): array => array_map(static fn (?string $c): string => trim((string) $c), str_getcsv($row,
            $mark, '"', '')), $rows);
        $at = self::columns($cells[0] ?? []);
        $names = [];
        foreach ($products as $product) {
            $names[mb_strtolower($product->name)] = $names[$product->key] = $product->key;
        }
        $units = $cents = $unknown = [];
        foreach (\array_slice($cells, 1) as $n => $row) {
            $product = $names[mb_strtolower($row[$at['product'] ?? 0] ?? '')] ?? null;
            $sold = $row[$at['units'] ?? 1] ?? '';
            $amount = str_replace([' ', ','], ['', '.'], (string) preg_replace('/[^\d.,\-]/', '', $row[$at['amount'] ?? 2] ?? ''));
            if (null === $product || !ctype_digit($sold) || ('' !== $amount && !is_numeric($amount))) {
                $unknown[] = mb_substr($rows[$n + 1], 0, 60);
                continue;
            }
            $units[$product] = ($units[$product] ?? 0) + (int) $sold;
            $cents[$product] = ($cents[$product] ?? 0) + (int) round(100 * (float) $amount);
        }

        return new self(array_map(static fn (string $product, int $n): Sold => new Sold($product, $n, 0, cents: $cents[$product]),
            array_keys($units), $units), isset($at['product'], $at['units']) ? $unknown : [mb_substr($rows[0] ?? '', 0, 60)]);
    }

    /**
     * @param list<string> $heads
     *
     * @return array<string, int>
     */
    private static function columns(array $heads): array
    {
        $at = [];
        foreach ($heads as $i => $head) {
            foreach (self::HEADS as $column => $names) {
                \in_array(mb_strtolower(ltrim($head, "\xEF\xBB\xBF")), $names, true) ? $at[$column] ??= $i : null;
            }
        }

        return $at;
    }
}
