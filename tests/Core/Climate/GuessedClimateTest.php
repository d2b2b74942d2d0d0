<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Tests\Support\EightPlaces;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Months for a garden that has none: good enough to begin with, and never taken for measured. */
final class GuessedClimateTest extends TestCase
{
    /** Months of eight invented places after their climate types; the guess is to be as near as it says of itself. */
    #[TestWith(['47N', 0, Nearness::Between])]
    #[TestWith(['39N', 0, Nearness::FarInland])]
    #[TestWith(['35.5N', 0, Nearness::Between])]
    #[TestWith(['50N', 0, Nearness::Coast])]
    #[TestWith(['33S', 0, Nearness::Coast])]
    #[TestWith(['1S', 1000, Nearness::Between])]
    #[TestWith(['20N', 0, Nearness::Coast])]
    #[TestWith(['60N', 0, Nearness::Between])]
    public function testIsAsNearAsItSays(string $place, int $altitude, Nearness $nearness): void
    {
        $known = EightPlaces::all()[$place];
        $off = array_map(static fn (float $guess, float $is): float => abs($guess - $is),
            self::means(GuessedClimate::of($known['latitude'], $altitude, $nearness)), self::means($known['months']));

        self::assertLessThan(GuessedClimate::ERROR, max($off));
    }

    /** Six degrees colder by the kilometre (the usual lapse rate, common practice), and no warmer below the sea. */
    public function testHigherIsColder(): void
    {
        $at = static fn (int $altitude): float => array_sum(self::means(GuessedClimate::of(10.0, $altitude, Nearness::Between))) / 12;

        self::assertEqualsWithDelta(6.0, $at(500) - $at(1500), 0.1);
        self::assertSame($at(0), $at(-200));
    }

    /** July is the warmest month of the north and January of the south; the equator hardly knows either. */
    public function testTheYearTurnsWithTheHemisphere(): void
    {
        $warmest = static function (float $latitude): int {
            $means = self::means(GuessedClimate::of($latitude, 0, Nearness::Between));

            return (int) array_search(max($means), $means, true) + 1;
        };
        $range = static fn (float $latitude, Nearness $near): float => max(self::means(GuessedClimate::of($latitude, 0, $near)))
            - min(self::means(GuessedClimate::of($latitude, 0, $near)));

        self::assertContains($warmest(45.0), [7, 8]);
        self::assertContains($warmest(-45.0), [1, 2]);
        self::assertLessThan(3.0, $range(0.0, Nearness::Between));
        self::assertLessThan($range(45.0, Nearness::Between), $range(45.0, Nearness::Coast));
        self::assertLessThan($range(45.0, Nearness::FarInland), $range(45.0, Nearness::Between));
        self::assertLessThan($range(45.0, Nearness::Between), $range(-45.0, Nearness::Between), 'more sea in the south');
    }

    /** From pole to pole there is a guess, it is one by name, and rain is not made up. */
    public function testIsAlwaysThereAndSaysWhatItIs(): void
    {
        for ($latitude = -90.0; $latitude <= 90.0; $latitude += 7.5) {
            foreach (Nearness::cases() as $near) {
                $months = GuessedClimate::of($latitude, 200, $near);
                self::assertSame($near, $months->guess);
                self::assertNull($months->rain);
                self::assertSame($near->ofADay(), round($months->max[6] - $months->min[6]), (string) $latitude);
            }
        }
    }

    /** @return non-empty-list<float> */
    private static function means(MonthlyMeans $months): array
    {
        $means = array_map(static fn (float $low, float $high): float => ($low + $high) / 2, $months->min, $months->max);
        self::assertCount(12, $means);

        return $means;
    }
}
