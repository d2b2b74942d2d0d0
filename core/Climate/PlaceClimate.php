<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Time\Day;

/** What is known of the climate of a garden, and whether its plan goes by it. */
final class PlaceClimate
{
    private const DAYS_BACK = 500;
    private const DAYS_AHEAD = 1100;

    /** @var array<int, LocalTiming> by the day it was asked on */
    private array $timing = [];

    /**
     * @param MonthlyMeans|null $months      null: from a record
     * @param FrostDates        $frost       odds as reckoned when the climate was set
     * @param DailyRecord       $measured    the last year and a half up to today
     * @param bool              $isTimedByIt heat and light; false: catalogue days
     */
    public function __construct(
        public readonly Climate $climate,
        public readonly ?MonthlyMeans $months,
        public readonly FrostDates $frost,
        public readonly DailyRecord $measured,
        public readonly bool $isTimedByIt,
    ) {
    }

    public function weather(float $latitude, Day $today): Weather
    {
        return Weather::of($this->climate, $latitude, $today->plus(-self::DAYS_BACK), self::DAYS_BACK + self::DAYS_AHEAD, $this->measured);
    }

    public function timing(float $latitude, Day $today): LocalTiming
    {
        return $this->timing[$today->number] ??= new LocalTiming($this->weather($latitude, $today));
    }
}
