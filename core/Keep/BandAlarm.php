<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StorePlace;

/** A place whose logger left its band on the last day it read, if that is not long ago. */
final readonly class BandAlarm
{
    /** Degrees, and points of humidity, a place may be off (own choice). */
    private const DEGREES = 3.0;
    private const POINTS = 12.0;
    /** Days an alarm is news. */
    private const NEWS = 7;

    private function __construct(public StorePlace $place, public PlaceDay $day, public bool $isWarm, public bool $isCold,
        public bool $isDamp, public bool $isDry)
    {
    }

    /** @return list<self> */
    public static function all(Garden $garden): array
    {
        $last = [];
        foreach ($garden->store->days as $day) {
            $isNewer = !isset($last[$day->place]) || $last[$day->place]->day->isBefore($day->day);
            $isNewer && !$garden->today->isBefore($day->day) ? $last[$day->place] = $day : null;
        }
        $alarms = [];
        foreach ($garden->store->places as $place) {
            $day = $last[$place->key] ?? null;
            $alarm = null === $day || $garden->today->since($day->day) > self::NEWS ? null : new self($place, $day,
                $day->high > $place->celsius + self::DEGREES, $day->low < $place->celsius - self::DEGREES,
                null !== $day->humidity && $day->humidity > $place->humidity + self::POINTS,
                null !== $day->humidity && $day->humidity < $place->humidity - self::POINTS);
            null === $alarm || !$alarm->isOut() ?: $alarms[] = $alarm;
        }

        return $alarms;
    }

    private function isOut(): bool
    {
        return $this->isWarm || $this->isCold || $this->isDamp || $this->isDry;
    }
}
