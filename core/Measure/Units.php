<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** How a garden writes its measures. Everything is kept in metric whichever is chosen. */
enum Units: string
{
    case Metric = 'metric';
    case UsCustomary = 'us';

    /** Long measures: bed lengths, 25 m or 82 ft. */
    public function long(Length $length): string
    {
        return match ($this) {
            self::Metric => self::number($length->metres(), 2).' m',
            self::UsCustomary => self::number($length->feet(), 1).' ft',
        };
    }

    /** Short measures: spacing and width, 75 cm or 29.5 in. */
    public function short(Length $length): string
    {
        return match ($this) {
            self::Metric => self::number($length->centimetres(), 1).' cm',
            self::UsCustomary => self::number($length->inches(), 1).' in',
        };
    }

    public function area(Area $area): string
    {
        return match ($this) {
            self::Metric => self::number($area->squareMetres, 2).' m²',
            self::UsCustomary => self::number($area->squareFeet(), 1).' sq ft',
        };
    }

    public function volume(Volume $volume): string
    {
        return match ($this) {
            self::Metric => self::number($volume->litres, 0).' l',
            self::UsCustomary => self::number($volume->cubicFeet(), 1).' cu ft',
        };
    }

    public function mass(Mass $mass): string
    {
        return match ($this) {
            self::Metric => $mass->grams < 1000 ? self::number($mass->grams, 1).' g' : self::number($mass->kilograms(), 2).' kg',
            self::UsCustomary => $mass->grams < Mass::POUND ? self::number($mass->grams / Mass::POUND * 16, 2).' oz'
                : self::number($mass->pounds(), 2).' lb',
        };
    }

    public function longUnit(): LengthUnit
    {
        return self::Metric === $this ? LengthUnit::Metre : LengthUnit::Foot;
    }

    public function shortUnit(): LengthUnit
    {
        return self::Metric === $this ? LengthUnit::Centimetre : LengthUnit::Inch;
    }

    /** At most so many decimals, no idle zeros. */
    public static function number(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
