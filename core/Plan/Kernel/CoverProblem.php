<?php

declare(strict_types=1);

namespace JollyFurrow\Plan\Kernel;

/**
 * One item that comes in cuts or is picked over weeks, in plain numbers. Candidates run in the order of their
 * sowing days.
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
    ) {
    }
}
