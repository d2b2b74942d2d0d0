<?php

declare(strict_types=1);

namespace App\Wall;

use App\Plan\ShortRow;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;

/** Crops to add from: first what is short, the dearest first; then what is sold; then all others. */
final readonly class Shelf
{
    /** @param array<string, list<ShelfCrop>> $groups short, sold, other */
    private function __construct(public array $groups)
    {
    }

    /** @param list<ShortRow> $shorts */
    public static function of(Garden $garden, CropBook $book, array $shorts): self
    {
        $short = [];
        foreach ($shorts as $row) {
            $one = $short[$row->item] ?? [0.0, null, 0.0];
            $short[$row->item] = [$one[0] + $row->units, null === $one[1] || $row->day->isBefore($one[1]) ? $row->day : $one[1],
                $one[2] + $row->worth];
        }
        $sold = [];
        foreach ($garden->products as $product) {
            $sold += array_fill_keys(array_column($product->parts, 'item'), true);
        }
        $groups = ['short' => [], 'sold' => [], 'other' => []];
        foreach ($book->all() as $crop) {
            if ($crop->isFurtherVariety()) {
                continue;
            }
            $missing = $short[$crop->item()] ?? null;
            $groups[null !== $missing ? 'short' : (isset($sold[$crop->item()]) ? 'sold' : 'other')][] = new ShelfCrop($crop,
                null === $missing ? null : $crop->produce->goods($missing[0]), $missing[1] ?? null, $missing[2] ?? 0.0, self::days($crop));
        }
        usort($groups['short'], static fn (ShelfCrop $a, ShelfCrop $b): int => [$b->cents, $a->crop->name] <=> [$a->cents, $b->crop->name]);
        foreach (['sold', 'other'] as $group) {
            usort($groups[$group], static fn (ShelfCrop $a, ShelfCrop $b): int => $a->crop->name <=> $b->crop->name);
        }

        return new self($groups);
    }

    /** By the book's days; only how wide it looks while it is held. */
    private static function days(Crop $crop): int
    {
        return $crop->timing->daysNearest($crop->methods()[0]) + 14;
    }
}
