<?php

declare(strict_types=1);

namespace JollyFurrow\Bench;

use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** The nursery in one week: the most trays of any of its days on the mat, on the benches and hardening outside. */
final readonly class BenchWeek
{
    /**
     * @param list<Planting> $plantings that stand there on some day of it
     * @param float          $over      trays more than there is room for on the benches; 0: there is room
     */
    public function __construct(public Day $monday, public float $onMat, public float $onBench, public float $hardening,
        public array $plantings, public float $over, public float $overMat)
    {
    }
}
