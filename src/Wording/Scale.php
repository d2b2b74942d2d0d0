<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;

/**
 * How one unit of the core is written in one system: number x factor + offset, then the symbol. Inch = 2.54 cm, foot =
 * 30.48 cm, pound = 0.45359237 kg, acre = 4,046.8564224 m2 (international yard and pound agreement, 1959; US ton 2,000 lb).
 */
final readonly class Scale
{
    private const FOOT = 0.3048;
    private const INCH = 2.54;
    private const POUND = 0.45359237;
    private const ACRES_PER_HECTARE = 10_000 / 4046.8564224;
    private const CUBIC_FOOT = 28.316846592;
    /** From here on decimals say nothing. */
    private const LARGE = 1000.0;

    private function __construct(public float $factor, public string $symbol, public int $decimals, public float $offset = 0.0)
    {
    }

    /** Null: a count, a share, money, a date: the same in both systems. */
    public static function of(Unit $unit, Units $units): ?self
    {
        return Units::Metric === $units ? self::metric($unit) : self::us($unit);
    }

    public function write(float $value): string
    {
        $number = $value * $this->factor + $this->offset;

        return Units::number($number, abs($number) < self::LARGE ? $this->decimals : 0).' '.$this->symbol;
    }

    /** The number of the core that is written as this one. */
    public function back(float $written): float
    {
        return ($written - $this->offset) / $this->factor;
    }

    private static function metric(Unit $unit): ?self
    {
        return match ($unit) {
            Unit::Metre => new self(1.0, 'm', 2),
            Unit::Centimetre => new self(1.0, 'cm', 1),
            Unit::Millimetre => new self(1.0, 'mm', 1),
            Unit::RainMillimetre => new self(1.0, 'mm', 0),
            Unit::SquareMetre => new self(1.0, 'm²', 2),
            Unit::Litre => new self(1.0, 'l', 0),
            Unit::Gram => new self(1.0, 'g', 1),
            Unit::Kilogram => new self(1.0, 'kg', 2),
            Unit::KilogramPerMetre => new self(1.0, 'kg/m', 2),
            Unit::CentPerMetre => new self(0.01, 'a metre of bed', 2),
            Unit::GramPerSquareMetre => new self(1.0, 'g/m²', 1),
            Unit::KilogramPerHectare => new self(1.0, 'kg/ha', 0),
            Unit::KilogramPerHectareCentimetre => new self(1.0, 'kg/ha a cm', 0),
            Unit::HourPer100Metres => new self(1.0, 'h/100 m', 2),
            Unit::Celsius, Unit::Kelvin => new self(1.0, '°C', 1),
            Unit::DegreeDay => new self(1.0, '°C days', 0),
            default => null,
        };
    }

    private static function us(Unit $unit): ?self
    {
        $perAcre = 1 / self::POUND / self::ACRES_PER_HECTARE;

        return match ($unit) {
            Unit::Metre => new self(1 / self::FOOT, 'ft', 1),
            Unit::Centimetre => new self(1 / self::INCH, 'in', 1),
            Unit::Millimetre, Unit::RainMillimetre => new self(1 / self::INCH / 10, 'in', 2),
            Unit::SquareMetre => new self(1 / self::FOOT ** 2, 'sq ft', 1),
            Unit::Litre => new self(1 / self::CUBIC_FOOT, 'cu ft', 1),
            Unit::Gram => new self(16 / self::POUND / 1000, 'oz', 2),
            Unit::Kilogram => new self(1 / self::POUND, 'lb', 2),
            Unit::KilogramPerMetre => new self(self::FOOT / self::POUND, 'lb/ft', 2),
            Unit::CentPerMetre => new self(0.01 * self::FOOT, 'a foot of bed', 3),
            Unit::GramPerSquareMetre => new self(self::FOOT ** 2 / self::POUND, 'lb/1,000 sq ft', 2),
            Unit::KilogramPerHectare => new self($perAcre, 'lb/acre', 0),
            Unit::KilogramPerHectareCentimetre => new self($perAcre * self::INCH, 'lb/acre an inch', 0),
            Unit::HourPer100Metres => new self(self::FOOT, 'h/100 ft', 2),
            Unit::Celsius => new self(1.8, '°F', 0, 32.0),
            Unit::Kelvin => new self(1.8, '°F', 1),
            Unit::DegreeDay => new self(1.8, '°F days', 0),
            default => null,
        };
    }
}
