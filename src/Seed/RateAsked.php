<?php

declare(strict_types=1);

namespace App\Seed;

use App\Shared\Entry;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Seed\SeedRate;

/** A rate of seed as it was typed, and both things it can mean. */
final readonly class RateAsked
{
    private function __construct(public Entry $entry, public ?SeedRate $rate, public float $each, public ?Length $bed, public int $rows)
    {
    }

    public static function of(Entry $entry, Garden $garden): self
    {
        if ('' === $entry->raw('each')) {
            return new self(Entry::fresh(), null, 0.0, null, 0);
        }
        $unit = $garden->settings->units->longUnit();
        $each = $entry->float('each', 0.01, 100_000);
        $bed = $entry->length('bed', $unit, 0.1, 500);
        $rows = $entry->int('rows', 1, 50);

        return new self($entry, $entry->isGood() ? SeedRate::of($each, Length::fromMetres($unit->millimetres() / 1000), $bed, $rows)
            : null, $each, $bed, $rows);
    }
}
