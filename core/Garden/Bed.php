<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;

/** A permanent bed. Its position follows from its block's order and its own order in the block. */
final readonly class Bed
{
    public function __construct(
        public string $name,
        public string $block,
        public int $position,
        public Length $length,
        public Length $width,
        public Length $path,
        public PlaceType $place,
    ) {
    }

    public function area(): Area
    {
        return $this->length->times($this->width);
    }
}
