<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Measure\Area;
use JollyFurrow\Soil\Nutrients;

/** What a stretch of bed is to be given in one dose. */
final readonly class BedNeed
{
    /**
     * @param Nutrients $need   grams a square metre, after credits
     * @param float     $length metres of bed
     */
    public function __construct(public string $key, public string $bed, public Area $area, public Nutrients $need,
        public float $length = 1.0)
    {
    }
}
