<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** Units a length may be typed in. Inch = 25.4 mm exactly (international yard and pound agreement, 1959). */
enum LengthUnit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Foot = 'ft';

    public function millimetres(): float
    {
        return match ($this) {
            self::Millimetre => 1.0,
            self::Centimetre => 10.0,
            self::Metre => 1000.0,
            self::Inch => 25.4,
            self::Foot => 304.8,
        };
    }

    /** Spacings and widths are told in such units. */
    public function isShort(): bool
    {
        return !\in_array($this, [self::Metre, self::Foot], true);
    }

    public static function named(string $word): ?self
    {
        return match (strtolower(rtrim($word, '.'))) {
            'mm' => self::Millimetre,
            'cm' => self::Centimetre,
            'm', 'metre', 'metres', 'meter', 'meters' => self::Metre,
            'in', '"', 'inch', 'inches' => self::Inch,
            'ft', "'", 'foot', 'feet' => self::Foot,
            default => null,
        };
    }
}
