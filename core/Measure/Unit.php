<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/**
 * What a number of the core counts in: always metric. Garden::settings say how it is written; the pairs of metric and US
 * customary are the application's.
 */
enum Unit: string
{
    case Metre = 'm';
    case Centimetre = 'cm';
    case Millimetre = 'mm';
    /** Rain and water, as a depth. */
    case RainMillimetre = 'mm-rain';
    case SquareMetre = 'm2';
    case Litre = 'l';
    case Gram = 'g';
    case Kilogram = 'kg';
    case KilogramPerMetre = 'kg/m';
    case GramPerSquareMetre = 'g/m2';
    case KilogramPerHectare = 'kg/ha';
    /** More dry matter for each further centimetre of height. */
    case KilogramPerHectareCentimetre = 'kg/ha/cm';
    case HourPer100Metres = 'h/100m';
    case Celsius = 'degC';
    /** A difference of temperatures. */
    case Kelvin = 'K';
    case DegreeDay = 'K d';
    case Hour = 'h';
    case Minute = 'min';
    case Day = 'd';
    /** Days told roughly: weeks as days, then months, then years. */
    case Span = 'span';
    /** A day number: a date, not a count of days. */
    case Date = 'date';
    case Share = 'share';
    case Percent = '%';
    case Cent = 'cent';
    /** Of bed. */
    case CentPerMetre = 'cent/m';
    case Row = 'row';
    case Plant = 'plant';
    case Spot = 'spot';
    case Seed = 'seed';
    case Cell = 'cell';
    case Tray = 'tray';
    case None = '';
}
