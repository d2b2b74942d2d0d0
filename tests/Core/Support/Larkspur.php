<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Time\Day;

/** The climate of the demo garden: 46.9 degrees north, maritime-continental, July mean 19 degrees C; and its mirror in the south. */
final class Larkspur
{
    public const NORTH = 46.9;
    private const MIN = [-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8];
    private const MAX = [3.2, 5.0, 10.3, 15.2, 19.8, 22.9, 25.0, 24.5, 19.9, 14.2, 7.9, 4.0];
    private const RAIN = [60.0, 55.0, 60.0, 65.0, 85.0, 95.0, 100.0, 90.0, 75.0, 65.0, 65.0, 65.0];

    public static function climate(float $latitude = self::NORTH): Climate
    {
        return Climate::fromMonths(self::months($latitude));
    }

    public static function months(float $latitude = self::NORTH): MonthlyMeans
    {
        return MonthlyMeans::of(self::mirrored(self::MIN, $latitude), self::mirrored(self::MAX, $latitude), self::mirrored(self::RAIN,
            $latitude));
    }

    /**
     * @param list<float> $months
     *
     * @return list<float>
     */
    private static function mirrored(array $months, float $latitude): array
    {
        return $latitude < 0 ? [...\array_slice($months, 6), ...\array_slice($months, 0, 6)] : $months;
    }

    public static function weather(float $latitude = self::NORTH): Weather
    {
        return Weather::of(self::climate($latitude), $latitude, Day::parse('2024-01-01'), 1500);
    }
}
