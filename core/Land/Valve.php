<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

/** Beds that are watered together. */
final readonly class Valve
{
    /**
     * @param list<string> $beds
     * @param float        $litres a minute it lets through with all its beds open
     * @param int|null     $every  days, where the grower waters by a rhythm; null: by need
     */
    public function __construct(public string $key, public string $name, public array $beds, public float $litres, public WaterWay $way,
        public ?int $every = null)
    {
    }
}
