<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * Hours between sunrise and sunset, sun's upper limb with refraction (-0.833 degrees).
 *
 * Declination from the low-precision formula of the Astronomical Almanac (mean longitude and anomaly,
 * two terms of the equation of centre), from memory, believed good to 0.01 degrees for 1950 to 2050;
 * hour angle from the standard sunrise equation.
 */
final readonly class DayLength
{
    public const UPPER_LIMB = -0.833;

    public static function hours(float $latitude, Day $day, float $sunHeight = self::UPPER_LIMB): float
    {
        $sinDeclination = sin(deg2rad(self::declination($day)));
        $cosDeclination = sqrt(1 - $sinDeclination ** 2);
        $phi = deg2rad($latitude);
        $cosHour = (sin(deg2rad($sunHeight)) - sin($phi) * $sinDeclination) / max(1e-12, cos($phi) * $cosDeclination);

        return $cosHour <= -1 ? 24.0 : ($cosHour >= 1 ? 0.0 : 2 * rad2deg(acos($cosHour)) / 15);
    }

    /** Degrees, at noon Universal Time. */
    public static function declination(Day $day): float
    {
        $sinceJ2000 = $day->number - 10957;
        $meanLongitude = 280.460 + 0.9856474 * $sinceJ2000;
        $anomaly = deg2rad(357.528 + 0.9856003 * $sinceJ2000);
        $longitude = deg2rad($meanLongitude + 1.915 * sin($anomaly) + 0.020 * sin(2 * $anomaly));
        $obliquity = deg2rad(23.439 - 0.0000004 * $sinceJ2000);

        return rad2deg(asin(sin($obliquity) * sin($longitude)));
    }
}
