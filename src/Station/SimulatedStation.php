<?php

declare(strict_types=1);

namespace App\Station;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\WeatherGenerator;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\Day;

/**
 * A weather station that is not there: weather made by chance in the place's climate, the same for the same climate, so
 * that the demo has the same year each time. For trying out.
 */
final class SimulatedStation implements WeatherSource
{
    private const OUTLOOK_DAYS = 7;

    public function name(): string
    {
        return 'station';
    }

    public function words(): string
    {
        return 'the simulated station';
    }

    public function isThere(string $gardenId): bool
    {
        return true;
    }

    public function days(string $gardenId, PlaceClimate $climate, Day $from, Day $until): DailyRecord
    {
        return (new WeatherGenerator($climate->climate, crc32($climate->climate->years.json_encode($climate->months,
            \JSON_THROW_ON_ERROR))))->days($from, $until);
    }

    /** Sure for tomorrow, nearer to normal each day after. */
    public function outlook(string $gardenId, PlaceClimate $climate, Day $from): DailyRecord
    {
        $rows = [];
        foreach ($this->days($gardenId, $climate, $from, $from->plus(self::OUTLOOK_DAYS - 1))->rows() as $n => [$day, $min, $max, $rain]) {
            $i = \JollyFurrow\Climate\Climate::index(Day::of($day));
            $sure = 1 - $n / self::OUTLOOK_DAYS;
            $rows[] = [$day, round($sure * $min + (1 - $sure) * $climate->climate->min[$i], 1),
                round($sure * $max + (1 - $sure) * $climate->climate->max[$i], 1),
                round($sure * ($rain ?? 0.0) + (1 - $sure) * $climate->climate->rain[$i], 1)];
        }

        return DailyRecord::fromRows($rows);
    }
}
