<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Mass;

/** Measures as handbooks of the United States give them (international yard and pound, 1959; 1 acre = 43,560 sq ft). */
final class Us
{
    public static function inches(float $inches): Length
    {
        return Length::fromCentimetres($inches * 2.54);
    }

    public static function feet(float $feet): Length
    {
        return Length::fromMetres($feet * 0.3048);
    }

    public static function squareFeet(float $squareFeet): Area
    {
        return Area::fromSquareMetres($squareFeet * 0.3048 ** 2);
    }

    public static function acres(float $acres): Area
    {
        return self::squareFeet($acres * 43_560);
    }

    public static function pounds(float $pounds): Mass
    {
        return Mass::fromGrams($pounds * 453.59237);
    }
}
