<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** What a laboratory counts a nutrient in. */
enum SoilUnit: string
{
    case MgPerKg = 'mg/kg';
    case Ppm = 'ppm';
    case MgPerLitre = 'mg/l';
    case MgPer100g = 'mg/100g';
    case LbPerAcre = 'lb/acre';
    case KgPerHa = 'kg/ha';

    /**
     * In mg a kg: two million pounds of soil an acre, 2.24 million kilograms a hectare of the plough layer (common practice);
     * a litre of sieved soil is taken as a kilogram.
     */
    public function inMgPerKg(): float
    {
        return match ($this) {
            self::MgPerKg, self::Ppm, self::MgPerLitre => 1.0,
            self::MgPer100g => 10.0,
            self::LbPerAcre => 0.5,
            self::KgPerHa => 1 / 2.24,
        };
    }
}
