<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Valve;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** What is known of the ground, what lies in the shed, what was laid out, and how water gets there. */
final readonly class SoilBook
{
    /**
     * @param list<SoilTest>    $tests   oldest first
     * @param list<ShedProduct> $shed
     * @param list<Spread>      $spreads oldest first
     * @param list<Valve>       $valves
     */
    public function __construct(public array $tests = [], public array $shed = [], public array $spreads = [], public array $valves = [],
        public FeedRules $rules = new FeedRules())
    {
    }

    public function isEmpty(): bool
    {
        return [] === $this->tests && [] === $this->shed && [] === $this->spreads && [] === $this->valves
            && new FeedRules() == $this->rules;
    }

    public function product(string $key): ?ShedProduct
    {
        return array_values(array_filter($this->shed, static fn (ShedProduct $p): bool => $p->key === $key))[0] ?? null;
    }

    /** @return list<SoilTest> of a bed, and of its block, the newest first */
    public function testsOf(Bed $bed, Day $until): array
    {
        $tests = array_filter($this->tests, static fn (SoilTest $t): bool => ($t->bed === $bed->name || ('' === $t->bed
            && $t->block === $bed->block)) && !$until->isBefore($t->day));
        usort($tests, static fn (SoilTest $a, SoilTest $b): int => [$b->day->number, $b->bed] <=> [$a->day->number, $a->bed]);

        return $tests;
    }

    /** What the bed's soil is taken as: value by value the newest test that says, else by use of the ground. */
    public function soilOf(Bed $bed, Day $day): BedSoil
    {
        return BedSoil::of($this->testsOf($bed, $day), PlaceType::Field === $bed->place ? $this->rules->untested : $this->rules->tunnels,
            $this->rules, $day);
    }

    public function valveOf(string $bed): ?Valve
    {
        return array_values(array_filter($this->valves, static fn (Valve $v): bool => \in_array($bed, $v->beds, true)))[0] ?? null;
    }
}
