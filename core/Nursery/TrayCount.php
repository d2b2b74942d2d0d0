<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Crop\Spacing;

/** What a count of usable plants in the trays means for the bed. */
final readonly class TrayCount
{
    private function __construct(public float $counted, public float $wanted, public float $share)
    {
    }

    /** @param float $cells with a usable plant */
    public static function of(Spacing $spacing, float $cells): self
    {
        $wanted = (float) $spacing->spots();

        return new self($cells, $wanted, $wanted > 0.0 ? min(1.0, $cells / $wanted) : 1.0);
    }

    /** Spots of the bed nothing is there for. */
    public function missing(): float
    {
        return max(0.0, $this->wanted - $this->counted);
    }
}
