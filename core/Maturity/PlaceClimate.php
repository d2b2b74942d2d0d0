<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Time\Day;

/** What is known of the climate of a garden, and whether its plan goes by it. */
final class PlaceClimate
{
    private const DAYS_BACK = 420;
    private const DAYS_AHEAD = 830;

    /** @var array<string, LocalTiming> */
    private array $timing = [];

    /**
     * @param MonthlyMeans|null $months      null: from a record
     * @param DailyRecord|null  $record      the record the climate was made of, where it is at hand
     * @param FrostDates        $frost       odds as reckoned from either
     * @param DailyRecord       $measured    readings: days that have passed, as they were
     * @param bool              $isTimedByIt heat and light; false: catalogue days
     * @param MonthlyMeans|null $filledBy    what the months of the year are taken from that the record has no day of
     */
    public function __construct(
        public readonly Climate $climate,
        public readonly ?MonthlyMeans $months,
        public readonly ?DailyRecord $record,
        public readonly FrostDates $frost,
        public readonly DailyRecord $measured,
        public readonly bool $isTimedByIt,
        private readonly ?TimingMemory $memory = null,
        public readonly ?MonthlyMeans $filledBy = null,
    ) {
    }

    /** What a garden goes by that has no climate yet: a guess, and catalogue days. */
    public static function guessed(float $latitude, int $altitude): self
    {
        return self::fromMonths(GuessedClimate::of($latitude, $altitude, Nearness::Between), $latitude, false);
    }

    public static function fromMonths(MonthlyMeans $months, float $latitude, bool $isTimedByIt = true,
        DailyRecord $measured = new DailyRecord([], [], [])): self
    {
        $climate = Climate::fromMonths($months);

        return new self($climate, $months, null, FrostDates::of($climate, $latitude < 0), $measured, $isTimedByIt);
    }

    /** @throws InvalidClimate when there is less than a year of it, or part of the year is missing and nothing fills it */
    public static function fromRecord(DailyRecord $record, float $latitude, bool $isTimedByIt = true,
        DailyRecord $measured = new DailyRecord([], [], []), ?MonthlyMeans $fill = null): self
    {
        $climate = Climate::fromRecord($record, $fill);
        $frost = FrostDates::fromRecord($record, $latitude < 0);

        // Where no season is whole, the spread of the days tells the odds.
        return new self($climate, null, $record, $frost->years > 0 ? $frost : FrostDates::of($climate, $latitude < 0), $measured,
            $isTimedByIt, null, [] === Climate::monthsWithout($record) ? null : $fill);
    }

    public function weather(float $latitude, Day $today): Weather
    {
        return Weather::of($this->climate, $latitude, $today->plus(-self::DAYS_BACK), self::DAYS_BACK + self::DAYS_AHEAD, $this->measured);
    }

    /** The same climate, with dates by heat and light, or by catalogue days. */
    public function timed(bool $isTimedByIt): self
    {
        return new self($this->climate, $this->months, $this->record, $this->frost, $this->measured, $isTimedByIt, $this->memory,
            $this->filledBy);
    }

    /** The same climate, with readings more. */
    public function measuring(DailyRecord $days): self
    {
        return new self($this->climate, $this->months, $this->record, $this->frost, $this->measured->with($days), $this->isTimedByIt,
            $this->memory, $this->filledBy);
    }

    public function knowsRain(): bool
    {
        return null === $this->months ? array_sum($this->climate->rain) > 0.0 : null !== $this->months->rain;
    }

    /** Nobody told it: twelve months guessed from where the place lies. */
    public function isGuess(): bool
    {
        return null !== $this->months?->guess;
    }

    public function timing(float $latitude, Day $today, Odds $odds = Odds::OneYearInTen, Benches $benches = new Benches(),
        int $hollow = 0): LocalTiming
    {
        return $this->timing[implode('/', [$latitude, $today->number, $odds->value, $benches->warm->key(), $benches->cool->key(), $hollow])]
            ??= new LocalTiming($this->weather($latitude, $today)->inHollow($hollow), $odds->share(), $benches, $this->memory);
    }
}
