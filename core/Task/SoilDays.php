<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Time\Day;

/**
 * Rain measured and foretold, and on which days the soil can be worked. A day nobody knows of is dry. Own model: so many
 * days after rain as it takes the surface to dry, one more for every 10 mm.
 */
final readonly class SoilDays
{
    /** Rain of a day that keeps people from dry work, and that leaves the soil too wet behind it, mm. */
    private const RAINY_MM = 2.0;
    private const SOAKING_MM = 4.0;
    private const DRIES_MM = 10.0;
    private const MOST_DAYS = 4;
    public const DELUGE_MM = 30.0;
    public const HOT = 32.0;
    private const LOOKED_AHEAD = 21;

    public function __construct(public DailyRecord $measured, public DailyRecord $outlook)
    {
    }

    public static function unknown(): self
    {
        return new self(new DailyRecord([], [], []), new DailyRecord([], [], []));
    }

    /** mm; what was measured counts before what was foretold. */
    public function rain(Day $day): float
    {
        return $this->measured->rain[$day->number] ?? $this->outlook->rain[$day->number] ?? 0.0;
    }

    /** Degrees C in the night after that day; null: nobody knows. */
    public function nightAfter(Day $day): ?float
    {
        return $this->outlook->min[$day->number + 1] ?? null;
    }

    public function noon(Day $day): ?float
    {
        return $this->outlook->max[$day->number] ?? $this->measured->max[$day->number] ?? null;
    }

    public function isRainy(Day $day): bool
    {
        return $this->rain($day) >= self::RAINY_MM;
    }

    /** Dry enough to hoe, rake and work the soil. */
    public function isOpen(Day $day): bool
    {
        if ($this->isRainy($day)) {
            return false;
        }
        for ($back = 1; $back <= self::MOST_DAYS; ++$back) {
            $fell = $this->rain($day->plus(-$back));
            if ($fell >= self::SOAKING_MM && $back <= min(self::MOST_DAYS, (int) ceil($fell / self::DRIES_MM))) {
                return false;
            }
        }

        return true;
    }

    /** The first day from one on that the soil is open, if no more falls than is foretold. */
    public function opens(Day $from): Day
    {
        for ($day = $from; !$this->isOpen($day) && $day->since($from) < self::LOOKED_AHEAD; $day = $day->plus(1)) {
        }

        return $day;
    }
}
