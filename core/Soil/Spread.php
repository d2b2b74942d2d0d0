<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Area;
use JollyFurrow\Time\Day;

/** What was laid out on a bed on a day, with the analysis it had then. */
final readonly class Spread
{
    /** Grams a square metre (our own starting values): 200 kg N a hectare, 250 kg of phosphate. */
    private const MUCH_NITROGEN = 20.0;
    private const MUCH_PHOSPHATE = 25.0;

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

    /** More nitrogen comes free in its first year than any crop of the table takes. */
    public function isMuchNitrogen(): bool
    {
        return $this->inYear(0)->n > self::MUCH_NITROGEN;
    }

    /** More phosphate than crops take in a year or two: it builds up, and with it the salts under film. */
    public function isMuchPhosphate(): bool
    {
        return $this->total()->p2o5 > self::MUCH_PHOSPHATE;
    }

    /** Grams a square metre in all, whenever it comes free. */
    public function total(): Nutrients
    {
        return $this->percent->times($this->kg * 10 / max(0.01, $this->area->squareMetres));
    }
}
