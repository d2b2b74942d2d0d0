<?php

declare(strict_types=1);

namespace App\Station;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\Day;

/** Where readings come from: a weather station, or what stands in for one. */
interface WeatherSource
{
    /** Short name kept with each reading. */
    public function name(): string;

    public function words(): string;

    public function isThere(string $gardenId): bool;

    /** Measured days, both ends included; days it does not have are left out. */
    public function days(string $gardenId, PlaceClimate $climate, Day $from, Day $until): DailyRecord;

    /** The seven days from a day on, as far as it knows. */
    public function outlook(string $gardenId, PlaceClimate $climate, Day $from): DailyRecord;
}
