<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * Light of a day, MJ m-2.
 *
 * Extraterrestrial radiation by FAO Irrigation and Drainage Paper 56 (Allen et al. 1998), equations 21 to 25. What of it
 * reaches the ground is taken as half the year round (own model: a clear day gives three quarters, an overcast one a
 * quarter; measured radiation is rarely at hand).
 */
final class DailyLight
{
    /** Share of the extraterrestrial radiation at the ground. */
    public const CLEARNESS = 0.5;
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

    /** @return float at the ground in the open, MJ m-2 d-1 */
    public static function atGround(float $latitude, Day $day): float
    {
        return self::CLEARNESS * self::extraterrestrial($latitude, $day);
    }
}
