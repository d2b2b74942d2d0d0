<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/**
 * One item harvested from a stock: its needs and the candidates to serve them, in plain numbers.
 * Lists of needs run in the order of days (on one day the least fresh first); all lists of candidates
 * run alike. Money is in any one unit; metres times perMetre gives units.
 */
final readonly class OnceProblem
{
    /**
     * @param list<int>         $needDay
     * @param list<int>         $needUnits
     * @param list<int>         $needReach  days a unit may be old on that market day
     * @param list<string>      $key
     * @param list<int>         $sow
     * @param list<int>         $start      first day the bed is taken
     * @param list<int>         $ready
     * @param list<int>         $last       last day in the field
     * @param list<float>       $perMetre
     * @param list<float>       $setUp
     * @param list<float>       $cost       per metre
     * @param list<list<float>> $rent       per candidate: rent of a metre summed up by day from firstDay on
     * @param list<float>       $stepMetres
     * @param list<int>         $maxSteps
     */
    public function __construct(
        public array $needDay,
        public array $needUnits,
        public array $needReach,
        public array $key,
        public array $sow,
        public array $start,
        public array $ready,
        public array $last,
        public array $perMetre,
        public array $setUp,
        public array $cost,
        public array $rent,
        public int $firstDay,
        public array $stepMetres,
        public int $minSteps,
        public array $maxSteps,
        public float $penalty,
        public float $keeping,
    ) {
    }
}
