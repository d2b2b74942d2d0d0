<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
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

    /** Null where growers would not think of the crop. */
    public static function of(Garden $garden, Crop $crop, Method $method, PlaceType $place, Day $first): ?self
    {
        if (!\in_array($place, $crop->places(), true)) {
            return null;
        }
        $timing = $garden->local();
        $ripening = $timing->of($crop, Cover::usualOf($place));
        $risks = new SowingRisks($crop, $method, $ripening, $timing);
        $days = [];
        for ($day = $first; $day->since($first) < self::YEAR; $day = $day->plus(1)) {
            $ripe = $ripening->whatever($day->number, $method);
            $isReady = null !== $ripe && $ripe->isPossible();
            $days[] = new SowingDay($day->number, $isReady ? $ripe->ready : null, $isReady ? $ripe->lastGood : null,
                $risks->of($day->number, $ripe));
        }

        return new self($place, $days);
    }
}
