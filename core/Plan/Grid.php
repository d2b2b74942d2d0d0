<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;

/** Growers' lengths: quarters of the commonest bed of each place type. */
final readonly class Grid
{
    /** @param array<string, int> $quarter millimetres by place type */
    private function __construct(private array $quarter)
    {
    }

    public static function of(Garden $garden): self
    {
        $counts = [];
        foreach ($garden->beds as $bed) {
            $counts[$bed->place->value][$bed->length->millimetres] = ($counts[$bed->place->value][$bed->length->millimetres] ?? 0) + 1;
        }
        $quarter = [];
        foreach ($counts as $place => $lengths) {
            $quarter[$place] = max(1, intdiv((int) array_search(max($lengths), $lengths, true), 4));
        }

        return new self($quarter);
    }

    /** Millimetres. */
    public function quarter(PlaceType $place): int
    {
        return $this->quarter[$place->value];
    }
}
