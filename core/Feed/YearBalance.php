<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Soil\Nutrients;

/** Phosphate and potash of one bed in one year, grams a square metre: laid out, taken off with the harvest,
 * and left since the first year. */
final readonly class YearBalance
{
    public function __construct(public int $year, public Nutrients $in, public Nutrients $out, public Nutrients $left)
    {
    }
}
