<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * One item that comes in cuts or is picked over weeks, in plain numbers. Candidates run in the order of their
 * sowing days; all lists of candidates run alike.
 */
final readonly class CoverProblem
{
    /**
     * @param list<int>               $needDay
     * @param list<int>               $needUnits
     * @param list<int>               $needReach
     * @param list<array<int, float>> $curve      units per metre by day number, in the order of days
     * @param list<float>             $setUp
     * @param list<float>             $perMetre   cost of a metre with its rent for the whole stay
     * @param list<float>             $stepMetres
     * @param list<int>               $maxSteps
     * @param int                     $effort     valuations the search may spend
     * @param array<int, int>         $start      a plan to begin with: steps by candidate; none: begin from nothing
     * @param Room|null               $room       what is left of the beds; null: there is no end to them
     * @param list<int>               $way        candidates grown the same way, on one day after the other, have one number; none: all alike
     * @param bool                    $isBold     after the search kicks are tried as long as the effort lasts
     */
    public function __construct(
        public array $needDay,
        public array $needUnits,
        public array $needReach,
        public array $curve,
        public array $setUp,
        public array $perMetre,
        public array $stepMetres,
        public int $minSteps,
        public array $maxSteps,
        public float $penalty,
        public int $effort,
        public array $start = [],
        public ?Room $room = null,
        public bool $isBold = true,
        public array $way = [],
    ) {
    }
}
