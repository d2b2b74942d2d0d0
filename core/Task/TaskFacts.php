<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Measure\Length;
use JollyFurrow\Working\Source;

/** What is usual with one kind of task: how long it takes, what weather it bears, how long it can wait. */
final readonly class TaskFacts
{
    /**
     * @param float $once      hours, whatever its size
     * @param float $perMetre  hours a metre of bed
     * @param float $perTray   hours
     * @param float $perUnit   hours a head or bunch, or 100 g
     * @param int   $early     days before its day it may be done
     * @param int   $wait      days after it that still serve
     * @param float $missCosts share of what the planting brings that is lost when it is not done at all
     */
    public function __construct(public Bears $bears, public float $once, public float $perMetre, public float $perTray,
        public float $perUnit, public int $early, public int $wait, public float $missCosts, public Source $source)
    {
    }

    public function hours(Length $length, float $trays = 0.0, float $units = 0.0): float
    {
        return $this->once + $this->perMetre * $length->metres() + $this->perTray * $trays + $this->perUnit * $units;
    }
}
