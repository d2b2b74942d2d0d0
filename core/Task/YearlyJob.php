<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/** A job of every year: sharpening, washing trays, testing seed. Its day is of the northern half of the world. */
final readonly class YearlyJob
{
    public function __construct(public string $key, public string $words, public MonthDay $on, public float $hours, public Bears $bears,
        public int $wait)
    {
    }

    public function day(int $year, bool $isSouth): Day
    {
        return ($isSouth ? $this->on->halfAYearLater() : $this->on)->in($year);
    }
}
