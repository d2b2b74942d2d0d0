<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Climate\DailyLight;
use JollyFurrow\Time\Day;

/** What a day of short, well watered grass gives off, mm. */
final class Evaporation
{
    /** MJ a square metre evaporate so many mm. */
    public const MM_PER_MJ = 0.408;

    /** Hargreaves, where only temperatures are known: FAO-56, equation 52. */
    public static function hargreaves(float $min, float $max, float $latitude, Day $day): float
    {
        $mean = ($min + $max) / 2;

        return max(0.0, 0.0023 * ($mean + 17.8) * sqrt(max(0.0, $max - $min)) * self::MM_PER_MJ
            * DailyLight::extraterrestrial($latitude, $day));
    }
}
