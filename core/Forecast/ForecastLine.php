<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Time\Day;

/** What an outlet can have of an item on a market day, and what it was promised; units, packing loss on top. */
final readonly class ForecastLine
{
    public function __construct(public Day $day, public string $outlet, public string $item, public Crop $crop, public Amounts $there,
        public int $promised)
    {
    }

    /** Units that are promised or ordered and not sure. */
    public function notSure(): int
    {
        return max(0, $this->promised - $this->there->sure);
    }
}
