<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** What really happened to a planting on a day, as it was noted. */
final readonly class FieldNote
{
    /**
     * @param string      $planting key of the planting
     * @param Length|null $length   so much of it; null: all of it
     * @param float|null  $share    rough share, by kind: come up, lost, or left to pick
     * @param float|null  $units    units of sale picked
     * @param string      $words    in the grower's own words
     * @param Sign|null   $sign     what was seen
     */
    public function __construct(
        public string $planting,
        public Happening $what,
        public Day $day,
        public ?Length $length,
        public ?float $share,
        public ?float $units,
        public string $words,
        public ?Sign $sign = null,
    ) {
    }
}
