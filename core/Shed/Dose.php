<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\ShedProduct;

/** What is taken out of the shed for one dose. */
final readonly class Dose
{
    /**
     * @param list<array{product: ShedProduct, kg: float}> $parts
     * @param Nutrients                                    $gives    kilograms
     * @param Nutrients                                    $excess   kilograms above the need: credit of the next dose
     * @param list<Nutrient>                               $lacking  needed, and nothing in the shed carries it
     * @param bool                                         $isWithin the allowed excess is kept
     * @param bool                                         $isThere  there is enough of all of it in the shed
     */
    public function __construct(public array $parts, public Nutrients $gives, public Nutrients $excess, public float $cents,
        public array $lacking, public bool $isWithin, public bool $isThere)
    {
    }

    public function kilograms(): float
    {
        return array_sum(array_map(static fn (array $part): float => $part['kg'], $this->parts));
    }
}
