<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

use JollyFurrow\Time\Day;

/** The time of the year a bed is made ready for: residue, weeds and soil want longer in the cold (common practice, no source). */
enum BedSeason: string
{
    case Warm = 'warm';
    case Spring = 'spring';
    case Cold = 'cold';

    /** First day of the year of each, in the north; half a year on in the south. */
    private const SPRING_FROM = 316;
    private const WARM_FROM = 516;
    private const COLD_FROM = 1101;

    /** Of the day the crop goes into the ground. */
    public static function on(Day $ground, float $latitude): self
    {
        $month = $latitude < 0 ? ($ground->month() + 5) % 12 + 1 : $ground->month();
        $date = 100 * $month + $ground->dayOfMonth();

        return match (true) {
            $date >= self::COLD_FROM || $date < self::SPRING_FROM => self::Cold,
            $date < self::WARM_FROM => self::Spring,
            default => self::Warm,
        };
    }
}
