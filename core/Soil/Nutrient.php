<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** A nutrient as fertilisers are labelled: nitrogen as the element, phosphorus and potassium as their oxides. */
enum Nutrient: string
{
    case Nitrogen = 'n';
    case Phosphate = 'p2o5';
    case Potash = 'k2o';
    /** By molar mass: P in P2O5, K in K2O. */
    public const P_IN_P2O5 = 0.4364;
    public const K_IN_K2O = 0.8301;

    /** Of the element, in what it is labelled as. */
    public function elementShare(): float
    {
        return match ($this) {
            self::Nitrogen => 1.0,
            self::Phosphate => self::P_IN_P2O5,
            self::Potash => self::K_IN_K2O,
        };
    }
}
