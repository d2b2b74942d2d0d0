<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Area;
use JollyFurrow\Time\Day;

/** What was laid out on a bed on a day, with the analysis it had then. */
final readonly class Spread
{
    /**
     * @param Nutrients $percent  of its weight
     * @param Area      $area     it was laid out over
     * @param Day|null  $workedIn null: it lies on top
     */
    public function __construct(public string $key, public string $bed, public Day $day, public string $product, public float $kg,
        public Nutrients $percent, public Release $release, public Heat $heat, public Area $area, public ?Day $workedIn = null)
    {
    }

    /**
     * Grams a square metre that come free in the n-th year after it, the first is 0.
     */
    public function inYear(int $n): Nutrients
    {
        $minerals = 0 === $n ? $this->release->minerals() : 0.0;

        return $this->percent->shared($this->release->years()[$n] ?? 0.0, $minerals, $minerals)
            ->times($this->kg * 10 / max(0.01, $this->area->squareMetres));
    }

    /** Grams a square metre in all, whenever it comes free. */
    public function total(): Nutrients
    {
        return $this->percent->times($this->kg * 10 / max(0.01, $this->area->squareMetres));
    }
}
