<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Somebody who works in the garden: hours by weekday, and days away. */
final readonly class Worker
{
    public const MOST_HOURS = 16.0;

    /**
     * @param array<int, float> $hours by weekday, 1 is Monday; a day not named is free
     * @param list<Period>      $away
     */
    public function __construct(public string $name, public array $hours, public array $away = [])
    {
    }

    /** Hours of a usual week. */
    public function week(): float
    {
        return array_sum($this->hours);
    }

    public function hoursOn(Day $day): float
    {
        foreach ($this->away as $days) {
            if ($days->contains($day)) {
                return 0.0;
            }
        }

        return $this->hours[$day->weekday()->value] ?? 0.0;
    }
}
