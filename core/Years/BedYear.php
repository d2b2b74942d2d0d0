<?php

declare(strict_types=1);

namespace JollyFurrow\Years;

use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Treatment\Spray;

/** One year of a bed. */
final readonly class BedYear
{
    /**
     * @param list<BedStay>   $stays   in the order they came
     * @param list<Spread>    $spreads what was given to it
     * @param list<SoilTest>  $tests   of it or its block
     * @param list<FieldNote> $notes   of what stood on it
     * @param list<Spray>     $sprays
     */
    public function __construct(public int $year, public array $stays, public array $spreads, public array $tests, public array $notes,
        public array $sprays)
    {
    }

    public function isEmpty(): bool
    {
        return [] === [...$this->stays, ...$this->spreads, ...$this->tests, ...$this->notes, ...$this->sprays];
    }
}
