<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/**
 * Twelve months guessed from latitude, altitude and how near the sea, for a garden that has nothing better yet. Own model
 * from memory of the world's climates; wrong by some four degrees, so the days spread wider. Rain is not guessed.
 */
final class GuessedClimate
{
    /** Error of the guess is told as so much more spread of the days, degrees C. */
    public const WIDER = 1.5;
    /** About how far a month's mean may be off, degrees C. */
    public const ERROR = 4.0;
    /** Mean of the year and half its range by latitude in steps of ten degrees, degrees C. */
    private const MEAN = [26.5, 26.5, 25.0, 20.0, 13.5, 9.0, 5.0, -1.0];
    private const HALF_RANGE = [1.0, 2.0, 4.5, 8.5, 11.5, 10.0, 10.5, 13.0];
    private const STEP = 10.0;
    /** South of the equator there is more sea. */
    private const SOUTH_COLDER = 1.0;
    private const SOUTH_RANGE = 0.65;
    private const COLDER_A_METRE = 0.006;
    /** The coldest month of the north, counted from nought, and how the year swings about it. */
    private const COLDEST = 0.5;

    public static function of(float $latitude, int $altitude, Nearness $nearness): MonthlyMeans
    {
        $south = $latitude < 0;
        $mean = self::at(self::MEAN, abs($latitude)) - ($south ? self::SOUTH_COLDER : 0.0) - self::COLDER_A_METRE * max(0, $altitude);
        $half = self::at(self::HALF_RANGE, abs($latitude)) * $nearness->range() * ($south ? self::SOUTH_RANGE : 1.0);
        $min = $max = [];
        for ($month = 0; $month < 12; ++$month) {
            $ofMonth = $mean - $half * cos(2 * \M_PI * ($month - self::COLDEST - ($south ? 6 : 0)) / 12);
            $min[] = round($ofMonth - $nearness->ofADay() / 2, 1);
            $max[] = round($ofMonth + $nearness->ofADay() / 2, 1);
        }

        return MonthlyMeans::of($min, $max, null, $nearness);
    }

    /** @param non-empty-list<float> $table by latitude, read in straight lines */
    private static function at(array $table, float $latitude): float
    {
        $i = (int) floor($latitude / self::STEP);
        $share = $latitude / self::STEP - $i;
        $from = $table[min($i, \count($table) - 1)];

        return $from + $share * ($table[min($i + 1, \count($table) - 1)] - $from);
    }
}
