<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Measure\Unit;

/** What a unit measures, as pages mark it for machines, and how many of the kind's own unit one is. */
final readonly class Kind
{
    private function __construct(public string $name, public float $factor)
    {
    }

    public static function of(Unit $unit): self
    {
        return match ($unit) {
            Unit::Metre => new self('length', 1.0),
            Unit::Centimetre => new self('length', 0.01),
            Unit::Millimetre => new self('length', 0.001),
            Unit::RainMillimetre => new self('rain', 1.0),
            Unit::SquareMetre => new self('area', 1.0),
            Unit::Litre => new self('volume', 1.0),
            Unit::Gram => new self('mass', 0.001),
            Unit::Kilogram => new self('mass', 1.0),
            Unit::KilogramPerMetre => new self('mass-per-length', 1.0),
            Unit::GramPerSquareMetre => new self('rate', 1.0),
            Unit::KilogramPerHectare => new self('yield', 1.0),
            Unit::KilogramPerHectareCentimetre => new self('yield-by-height', 1.0),
            Unit::HourPer100Metres => new self('work-rate', 1.0),
            Unit::Celsius => new self('temperature', 1.0),
            Unit::Kelvin => new self('warmth', 1.0),
            Unit::DegreeDay => new self('heat', 1.0),
            Unit::Hour => new self('hours', 1.0),
            Unit::Minute => new self('minutes', 1.0),
            Unit::Day, Unit::Span => new self('days', 1.0),
            Unit::Share => new self('share', 1.0),
            Unit::Percent => new self('share', 0.01),
            Unit::Cent => new self('money', 0.01),
            Unit::CentPerMetre => new self('money-per-length', 0.01),
            Unit::Date => new self('day', 1.0),
            default => new self('count', 1.0),
        };
    }
}
