<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Soil\Nutrients;

/** What of a mix goes on one bed. */
final readonly class BedDose
{
    /**
     * @param float     $kg     of the mix
     * @param Nutrients $gives  grams a square metre
     * @param float     $short  the largest share of a needed nutrient that is missing
     * @param Nutrients $excess grams a square metre over the need
     */
    public function __construct(public BedNeed $bed, public float $kg, public Nutrients $gives, public float $short,
        public Nutrients $excess)
    {
    }
}
