<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * Light of a day, MJ m-2.
 *
 * Extraterrestrial radiation by FAO Irrigation and Drainage Paper 56 (Allen et al. 1998), equations 21 to 25; what of it
 * reaches the ground by its equation 50 from the day's range of temperature, inland, held to what an overcast and a
 * clear sky let through.
 */
final class DailyLight
{
    /** Equation 50: share let through for each root of a degree between night and day. */
    private const OF_RANGE = 0.16;
    private const OVERCAST = 0.25;
    private const CLEAR = 0.70;
    private const SOLAR_CONSTANT = 0.0820;

    /** @return float extraterrestrial, MJ m-2 d-1 */
    public static function extraterrestrial(float $latitude, Day $day): float
    {
        $dayOfYear = $day->number - Day::fromDate($day->year(), 1, 1)->number + 1;
        $distance = 1 + 0.033 * cos(2 * \M_PI * $dayOfYear / 365);
        $declination = 0.409 * sin(2 * \M_PI * $dayOfYear / 365 - 1.39);
        $phi = deg2rad($latitude);
        $sunset = acos(max(-1.0, min(1.0, -tan($phi) * tan($declination))));

        return max(0.0, 24 * 60 / \M_PI * self::SOLAR_CONSTANT * $distance * ($sunset * sin($phi) * sin($declination) + cos($phi) * cos($declination) * sin($sunset)));
    }

    /** Share of the extraterrestrial radiation at the ground, by the day's least and most degrees C. */
    public static function clearness(float $min, float $max): float
    {
        return min(self::CLEAR, max(self::OVERCAST, self::OF_RANGE * sqrt(max(0.0, $max - $min))));
    }
}
