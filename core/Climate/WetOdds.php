<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/** How likely a day is wet at a place, from its rain; and how many days a wet spell may hold work up. */
final class WetOdds
{
    /** A spell that lasts longer than the reserve comes one time in so many (own choice). */
    private const ONE_IN = 5;
    private const MOST = 0.85;

    public static function on(Climate $climate, Day $day): float
    {
        return min(self::MOST, $climate->rain[Climate::index($day)] / ClimateTable::RAIN_OF_A_WET_DAY);
    }

    /** Days to keep in hand for work that wants dry soil, each day taken by itself: own model. */
    public static function reserve(Climate $climate, Day $day): int
    {
        $odds = self::on($climate, $day);

        return $odds <= 0.0 ? 0 : max(0, (int) ceil(log(1 / self::ONE_IN) / log($odds)) - 1);
    }
}
