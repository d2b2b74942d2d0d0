<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Area;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\Nutrients;

/**
 * What one piece of a planting needs, what is there already, and what is left to give; grams a square metre. Of the credits
 * no more is used than is needed; the rest is surplus, and goes to what comes after.
 */
final readonly class PieceFeed
{
    public Nutrients $used;
    public Nutrients $surplus;
    public Nutrients $left;

    /** @param list<Credit> $credits */
    public function __construct(public Stretch $stretch, public Area $area, public BedSoil $soil, public Nutrients $need,
        public array $credits)
    {
        $there = Nutrients::sum(array_map(static fn (Credit $c): Nutrients => $c->gives, $credits));
        $this->used = $there->atMost($need);
        $this->surplus = $there->minus($this->used);
        $this->left = $need->minus($this->used);
    }
}
