<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\Day;

/** Eight climates, invented after each climate type: what is right at one place only is not right. */
final class EightPlaces
{
    private const DAYS = 1250;

    /** @return array<string, array{latitude: float, months: MonthlyMeans}> by name */
    public static function all(): array
    {
        $read = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/growth/places.json'), true, 8, \JSON_THROW_ON_ERROR);
        \assert(\is_array($read));
        $places = [];
        foreach ($read as $name => $place) {
            \assert(\is_array($place) && \is_array($place['min_c']) && \is_array($place['max_c']) && is_numeric($place['latitude']));
            $places[(string) $name] = ['latitude' => (float) $place['latitude'], 'months' => MonthlyMeans::of(self::floats($place['min_c']),
                self::floats($place['max_c']), null)];
        }

        return $places;
    }

    public static function weather(string $name, string $from = '2024-11-07'): Weather
    {
        $place = self::all()[$name];

        return Weather::of(Climate::fromMonths($place['months']), $place['latitude'], Day::parse($from), self::DAYS);
    }

    public static function timing(string $name): LocalTiming
    {
        return new LocalTiming(self::weather($name));
    }

    public static function climate(string $name): PlaceClimate
    {
        $place = self::all()[$name];

        return PlaceClimate::fromMonths($place['months'], $place['latitude']);
    }

    /**
     * @param array<mixed> $values
     *
     * @return list<float>
     */
    private static function floats(array $values): array
    {
        return array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, array_values($values));
    }
}
