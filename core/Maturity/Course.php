<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** The way of one planting to its harvest, day numbers. */
final readonly class Course
{
    /**
     * @param int      $stage  day from which its reference days are counted
     * @param float    $toCome reference days from then until the first of it is as the catalogue has it
     * @param int      $fit    that day
     * @param int|null $until  last day of the harvest window of what follows the year
     * @param int      $ready  half of it is: where it ripens over a spread, later
     */
    public function __construct(public int $sow, public int $emerges, public int $ground, public int $stage, public float $toCome,
        public int $fit, public int $ready, public ?int $until = null)
    {
    }
}
