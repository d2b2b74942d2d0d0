<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Working\Source;

/** A row of the table of needs: kilograms a hectare, nitrogen on poor ground, the rest by what the soil holds. */
final readonly class CropNeed
{
    /**
     * @param list<string> $crops items
     * @param list<float>  $n     by the soil's own nitrogen, poorest first: before anything is credited the first counts
     * @param list<float>  $p2o5  by SoilLevel
     * @param list<float>  $k2o   by SoilLevel
     */
    public function __construct(public string $key, public string $name, public array $crops, public array $n, public array $p2o5,
        public array $k2o, public Source $source)
    {
    }

    /** What the soil gives of nitrogen is credited after, by organic matter; so the need is that of the poorest ground. */
    public function at(SoilLevel $p, SoilLevel $k): Nutrients
    {
        return Nutrients::of($this->n[0], $this->p2o5[$p->value], $this->k2o[$k->value]);
    }
}
