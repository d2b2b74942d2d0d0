<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Plan\Kernel\CoverProblem;
use JollyFurrow\Plan\Kernel\CoverSuccessions;
use JollyFurrow\Plan\Kernel\OnceProblem;
use JollyFurrow\Plan\Kernel\OnceSuccessions;
use JollyFurrow\Promise\Need;

/** Sizes and dates the successions of one item against its needs: hands the numbers to the kernel and reads its answer. */
final readonly class ItemPlanner
{
    /** Valuations the covering search may spend on one item. */
    public const EFFORT = 7000;
    /** The same when only some market days are left to serve. */
    public const EFFORT_FOR_THE_REST = 500;
    /** A need may not cost less than this a unit, or nothing would be sown for it. Cents. */
    private const LEAST_PENALTY = 1.0;

    /** @param array<string, float> $values cents a unit of the item fetches */
    public function __construct(private Garden $garden, private Grid $grid, private RentSums $rents, private array $values)
    {
    }

    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     */
    public function plan(Crop $crop, array $needs, array $candidates, int $effort = self::EFFORT): ItemPlan
    {
        $needs = array_values(array_filter($needs, static fn (Need $need): bool => $need->units > 0));
        if ([] === $needs || [] === $candidates) {
            return new ItemPlan([], 0.0);
        }
        if (!$crop->pattern->isStock()) {
            return $this->cover($crop, $needs, $this->chosen($candidates, $needs), $effort);
        }
        $plans = array_map(fn (array $group): ItemPlan => $this->once($crop, $group, $this->chosen($candidates, $group)), self::byReach($crop, $needs));

        return new ItemPlan(array_merge(...array_map(static fn (ItemPlan $p): array => $p->successions, $plans)), array_sum(array_map(static fn (ItemPlan $p): float => $p->cost, $plans)));
    }

    /**
     * Goods that keep in store are planned apart for outlets that take them stored and for those that want them fresh:
     * a market day in winter that wants them fresh would otherwise end the run of days a succession can serve.
     *
     * @param list<Need> $needs
     *
     * @return non-empty-list<list<Need>>
     */
    private static function byReach(Crop $crop, array $needs): array
    {
        $groups = [];
        foreach ($needs as $need) {
            $groups[$crop->produce->stored ? $need->reach : 0][] = $need;
        }
        krsort($groups);

        return [] === $groups ? [$needs] : array_values($groups);
    }

    /**
     * @param list<Candidate> $candidates
     * @param list<Need>      $needs
     *
     * @return list<Candidate>
     */
    private function chosen(array $candidates, array $needs): array
    {
        return (new CandidateChoice($this->rents))->of($candidates, $needs);
    }

    /** Cents for one unit short. */
    public function penalty(Crop $crop): float
    {
        return self::penaltyFor($this->garden->settings->shortageFactor, $this->values[$crop->item()] ?? 0.0);
    }

    /** @param float $value cents a unit fetches */
    public static function penaltyFor(float $shortageFactor, float $value): float
    {
        return max(self::LEAST_PENALTY, $shortageFactor * $value);
    }

    /**
     * Cents a unit and day after it is ready.
     *
     * The setting is read into a variable first: PHP 8.2's tracing JIT was seen to hand on the settings object
     * itself where the two readings stood in one expression.
     */
    private function keeping(Crop $crop): float
    {
        $share = $this->garden->settings->keepingShare;

        return $share * ($this->values[$crop->item()] ?? 0.0);
    }

    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     */
    private function once(Crop $crop, array $needs, array $candidates): ItemPlan
    {
        $loss = $crop->produce->weeklyLoss;
        $base = $needs[0]->day;
        $problem = new OnceProblem(
            array_map(static fn (Need $n): int => $n->day, $needs),
            array_map(static fn (Need $n): int => (int) ceil($n->units / self::sound($loss, $n->day - $base) - 1e-9), $needs),
            array_map(static fn (Need $n): int => $n->reach, $needs),
            array_map(static fn (Candidate $c): string => $c->key(), $candidates),
            array_map(static fn (Candidate $c): int => $c->sow, $candidates),
            array_map(static fn (Candidate $c): int => $c->bedStart, $candidates),
            array_map(static fn (Candidate $c): int => $c->ready, $candidates),
            array_map(static fn (Candidate $c): int => $c->lastField, $candidates),
            array_map(static fn (Candidate $c): float => $c->perMetre / self::sound($loss, $c->ready - $base), $candidates),
            array_map(static fn (Candidate $c): float => $c->setUp, $candidates),
            array_map(static fn (Candidate $c): float => $c->cost, $candidates),
            array_map(fn (Candidate $c): array => $this->rents->sums[$c->place->value], $candidates),
            $this->rents->first,
            array_map(fn (Candidate $c): float => $this->stepMetres($c->place), $candidates),
            1,
            array_map(fn (Candidate $c): int => $this->maxSteps($c->place), $candidates),
            $this->penalty($crop),
            $this->keeping($crop),
        );
        $solution = OnceSuccessions::solve($problem);

        return new ItemPlan(array_map(static fn (array $s): array => ['candidate' => $candidates[$s['candidate']], 'steps' => $s['steps'], 'end' => $s['end']], $solution->plantings), $solution->cost);
    }

    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates
     */
    private function cover(Crop $crop, array $needs, array $candidates, int $effort): ItemPlan
    {
        $problem = new CoverProblem(
            array_map(static fn (Need $n): int => $n->day, $needs),
            array_map(static fn (Need $n): int => $n->units, $needs),
            array_map(static fn (Need $n): int => $n->reach, $needs),
            array_map(static fn (Candidate $c): array => $c->curve, $candidates),
            array_map(static fn (Candidate $c): float => $c->setUp, $candidates),
            array_map(fn (Candidate $c): float => $c->cost + $this->rents->between($c->place, $c->bedStart, $c->lastField), $candidates),
            array_map(fn (Candidate $c): float => $this->stepMetres($c->place), $candidates),
            1,
            array_map(fn (Candidate $c): int => $this->maxSteps($c->place), $candidates),
            $this->penalty($crop),
            $effort,
        );
        $solution = CoverSuccessions::solve($problem);

        return new ItemPlan(array_map(static fn (array $s): array => ['candidate' => $candidates[$s['candidate']], 'steps' => $s['steps'], 'end' => $candidates[$s['candidate']]->lastField], $solution->plantings), $solution->cost);
    }

    /** Share still sound after so many days in store. Need and supply are both counted in units sound on one date. */
    private static function sound(float $weeklyLoss, int $days): float
    {
        return $weeklyLoss > 0.0 ? (1 - $weeklyLoss) ** ($days / 7) : 1.0;
    }

    private function stepMetres(PlaceType $place): float
    {
        return $this->grid->quarter($place) / 1000;
    }

    private function maxSteps(PlaceType $place): int
    {
        return max(1, (int) floor($this->garden->metresOf($place) / $this->stepMetres($place) + 1e-9));
    }
}
