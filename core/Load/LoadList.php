<?php

declare(strict_types=1);

namespace JollyFurrow\Load;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Promise\Outlet;

/** What is loaded for each outlet of a market day: who is served first is loaded last. */
final readonly class LoadList
{
    /**
     * @param list<LoadLine> $lines what must stay cool last, so that it stands by the door
     */
    private function __construct(public Outlet $outlet, public array $lines)
    {
    }

    /**
     * @param PickList $on of one market day
     *
     * @return list<self> in loading order; outlets that get nothing are left out
     */
    public static function all(Garden $garden, CropBook $crops, PickList $on): array
    {
        $outlets = $garden->outlets;
        usort($outlets, static fn (Outlet $a, Outlet $b): int => [$b->priority, $b->key] <=> [$a->priority, $a->key]);
        $lists = [];
        foreach ($outlets as $outlet) {
            $lines = self::lines($crops, $on, $outlet->key);
            [] === $lines ?: $lists[] = new self($outlet, $lines);
        }

        return $lists;
    }

    public function crates(): int
    {
        return array_sum(array_map(static fn (LoadLine $l): int => $l->crates(), $this->lines));
    }

    /** @return list<LoadLine> */
    private static function lines(CropBook $crops, PickList $on, string $outlet): array
    {
        $picked = $stored = [];
        foreach ($on->lines as $line) {
            isset($line->outlets[$outlet]) ? $picked[$line->planting->item][] = [$line, $line->outlets[$outlet]] : null;
        }
        foreach ($on->stored as $line) {
            $line->outlet === $outlet ? $stored[$line->holding->lot->item][] = [$line, $line->units] : null;
        }
        $lines = [];
        foreach (array_keys($picked + $stored) as $item) {
            $lines[] = new LoadLine($crops->get((string) $item), $picked[$item] ?? [], $stored[$item] ?? []);
        }
        $hurry = static fn (LoadLine $l): int => $l->coolHours() > 0 ? -$l->coolHours() : \PHP_INT_MIN;
        usort($lines, static fn (LoadLine $a, LoadLine $b): int => [$hurry($a), $a->crop->name] <=> [$hurry($b), $b->crop->name]);

        return $lines;
    }
}
