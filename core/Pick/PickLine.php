<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Storage\StoreNeeds;
use JollyFurrow\Time\Day;

/** What is picked of one planting on one day for one market day. */
final readonly class PickLine
{
    /**
     * @param array<string, int>           $outlets units by outlet key
     * @param list<array{Planting, float}> $spare   where else there is some, if this bed gives less: units
     */
    public function __construct(public Day $day, public Day $market, public Planting $planting, public Crop $crop,
        public PickTraits $traits, public StoreNeeds $needs, public int $units, public array $outlets, public array $spare)
    {
    }

    public function hours(): float
    {
        return $this->units * $this->traits->hours();
    }

    public function crates(): int
    {
        return (int) ceil($this->units / $this->needs->crate - 1e-9);
    }

    /** @return list<string> */
    public function beds(): array
    {
        return array_values(array_unique(array_map(static fn ($piece): string => $piece->bed, $this->planting->pieces)));
    }
}
