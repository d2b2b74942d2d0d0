<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Storage\StoreNeeds;
use JollyFurrow\Time\Day;

/** Units one outlet wants of one planting for one market day. */
final readonly class PickWant
{
    /** @param list<array{Planting, float}> $spare where else there is some: units */
    public function __construct(public SpreadWant $want, public Planting $planting, public Crop $crop, public PickTraits $traits,
        public StoreNeeds $needs, public Day $market, public string $outlet, public array $spare)
    {
    }
}
