<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Working\Source;

/** What a crop gives off against grass, by its stage, and how deep it drinks. */
final readonly class CropWater
{
    /** The way from planting to the first harvest: begins to cover the ground, covers it. FAO-56, table 11, in the middle of its crops. */
    private const GROWS_FROM = 0.25;
    private const FULL_FROM = 0.65;

    /**
     * @param list<string> $crops     items
     * @param float        $root      m
     * @param float        $depletion share of the soil's water it takes before it wants
     * @param int          $dryOff    days before lifting it has its last water; 0: none
     */
    public function __construct(public string $key, public array $crops, public float $begin, public float $full, public float $end,
        public float $root, public float $depletion, public int $dryOff, public Source $source)
    {
    }

    /**
     * @param float $way  of planting to first harvest
     * @param float $late share of the harvest that is over
     */
    public function factor(float $way, float $late = 0.0): float
    {
        return match (true) {
            $late > 0.0 => $this->full + ($this->end - $this->full) * min(1.0, $late),
            $way <= self::GROWS_FROM => $this->begin,
            $way >= self::FULL_FROM => $this->full,
            default => $this->begin + ($this->full - $this->begin) * ($way - self::GROWS_FROM) / (self::FULL_FROM - self::GROWS_FROM),
        };
    }
}
