<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** @extends GardenList<DailyRecord> */
final readonly class ReadingsList extends GardenList
{
    public function heads(): array
    {
        return ['day' => ['Day', 'date'], 'min' => ['Lowest, °C', 'min', 'minimum', 'low', 'tmin'],
            'max' => ['Highest, °C', 'max', 'maximum', 'high', 'tmax'], 'rain' => ['Rain, mm', 'precipitation', 'prcp']];
    }

    protected function needs(): array
    {
        return ['day', 'min', 'max'];
    }

    public function rows(Garden $garden): array
    {
        $rows = [];
        foreach ($garden->climate->measured->rows() as [$day, $min, $max, $rain]) {
            $iso = Day::of($day)->iso();
            $rows[$iso] = ['day' => $iso, 'min' => Units::number($min, 2), 'max' => Units::number($max, 2),
                'rain' => null === $rain ? '' : Units::number($rain, 2)];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        try {
            return Day::parse($cells['day'])->iso();
        } catch (InvalidDay) {
            return '';
        }
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?DailyRecord
    {
        $day = $entry->day('day');
        $min = $entry->temperature('min', Units::Metric, -60, 60)->celsius;
        $max = $entry->temperature('max', Units::Metric, -60, 60)->celsius;
        $rain = '' === $entry->raw('rain') ? null : $entry->float('rain', 0, 1000);
        if ($entry->isGood() && $max < $min) {
            $entry->fault('max', 'The highest is below the lowest.');
        }
        if ($entry->isGood() && !$day->isBefore($garden->today)) {
            $entry->fault('day', 'This day is not over yet.');
        }

        return $entry->isGood() ? DailyRecord::fromRows([[$day->number, round($min, 2), round($max, 2), $rain]]) : null;
    }
}
