<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Time\Day;

/**
 * What every sowing day of a year, from a first day on, comes to at one place type: when ready, until when it holds, and
 * what stands against it.
 */
final readonly class TimingCurve
{
    private const YEAR = 365;

    /** @param list<SowingDay> $days */
    private function __construct(public PlaceType $place, public array $days)
    {
    }

    /** Null where the crop is not grown, or the climate is not known. */
    public static function of(Garden $garden, Crop $crop, Method $method, PlaceType $place, Day $first): ?self
    {
        if (null === $garden->climate || null === $garden->season($crop, $place)) {
            return null;
        }
        $covers = CoverCalendar::always(Cover::usualOf($place));
        $timing = $garden->climate->timing($garden->place->latitude, $garden->today);
        $ripening = $timing->of($crop, $covers);
        $risks = new SowingRisks($garden, $crop, $method, $place, $covers, $timing);
        $days = [];
        for ($day = $first; $day->since($first) < self::YEAR; $day = $day->plus(1)) {
            $ripe = $ripening->forward($day->number, $method);
            $days[] = new SowingDay($day->number, $ripe?->ready, $ripe?->lastGood, $risks->of($day->number, $ripe));
        }

        return new self($place, $days);
    }
}
