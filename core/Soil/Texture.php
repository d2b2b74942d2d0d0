<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** Soil by hand feel. */
enum Texture: string
{
    case Sand = 'sand';
    case SandyLoam = 'sandy-loam';
    case Loam = 'loam';
    case ClayLoam = 'clay-loam';
    case Clay = 'clay';
    case Peat = 'peat';

    /**
     * Tonnes of ground limestone a hectare that raise pH by one. From memory, believed to be AHDB Nutrient Management Guide
     * (RB209), section 1, lime factors for arable land: sands 6, sandy and silt loams 7, clays 8, peats 16.
     */
    public function limeFactor(): float
    {
        return match ($this) {
            self::Sand => 6.0,
            self::SandyLoam, self::Loam => 7.0,
            self::ClayLoam, self::Clay => 8.0,
            self::Peat => 16.0,
        };
    }

    /**
     * Water between field capacity and wilting, mm a metre of depth: middles of FAO-56, table 19 (from memory): sand 50 to 110,
     * sandy loam 110 to 150, loam 130 to 180, clay loam 130 to 190 (as silty clay loam), clay 120 to 200. Peat: our own.
     */
    public function water(): float
    {
        return match ($this) {
            self::Sand => 80.0,
            self::SandyLoam => 130.0,
            self::Loam => 155.0,
            self::ClayLoam, self::Clay => 160.0,
            self::Peat => 250.0,
        };
    }
}
