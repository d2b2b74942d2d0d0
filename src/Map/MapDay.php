<?php

declare(strict_types=1);

namespace App\Map;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** The day a map is looked at: as the address says, else today. */
final class MapDay
{
    private const YEARS = [1950, 2150];

    public static function asked(string $day, Garden $garden): Day
    {
        try {
            $asked = Day::parse($day);
        } catch (InvalidDay) {
            return $garden->today;
        }

        return $asked->year() < self::YEARS[0] || $asked->year() > self::YEARS[1] ? $garden->today : $asked;
    }
}
