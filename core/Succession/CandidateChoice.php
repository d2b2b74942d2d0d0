<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Need\Need;
use JollyFurrow\Ways\Candidate;

/**
 * Of the candidates with the same first market day keep the latest, and an earlier one only if it serves
 * longer or is cheaper per metre.
 */
final readonly class CandidateChoice
{
    public function __construct(private RentSums $rents)
    {
    }

    /**
     * @param list<Candidate> $candidates by sowing day
     * @param list<Need>      $needs
     *
     * @return list<Candidate>
     */
    public function of(array $candidates, array $needs): array
    {
        $byFirst = [];
        foreach ($candidates as $candidate) {
            $first = self::firstServed($candidate, $needs);
            if (null !== $first) {
                $byFirst[$first][] = $candidate;
            }
        }
        ksort($byFirst);

        return array_merge(...array_map(fn (int $first, array $group): array => $this->keep($group, $needs[$first]),
            array_keys($byFirst), $byFirst));
    }

    /**
     * Of cuts and picking all that yield for some market day: which of two with the same first one is better depends on
     * how the whole harvest falls.
     *
     * @param list<Candidate> $candidates
     * @param list<Need>      $needs
     *
     * @return list<Candidate>
     */
    public static function serving(array $candidates, array $needs): array
    {
        return array_values(array_filter($candidates, static function (Candidate $candidate) use ($needs): bool {
            foreach ($needs as $need) {
                if (self::serves($candidate, $need)) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * The needs that any candidate can serve at all.
     *
     * @param list<Candidate> $candidates
     * @param list<Need>      $needs
     *
     * @return list<Need>
     */
    public static function served(array $candidates, array $needs): array
    {
        return array_values(array_filter($needs, static function (Need $need) use ($candidates): bool {
            foreach ($candidates as $candidate) {
                if (self::serves($candidate, $need)) {
                    return true;
                }
            }

            return false;
        }));
    }

    private static function serves(Candidate $candidate, Need $need): bool
    {
        if ([] === $candidate->curve) {
            return $candidate->ready <= $need->day && $need->day <= $candidate->lastField + $need->reach;
        }
        for ($day = $need->day - $need->reach; $day <= $need->day; ++$day) {
            if (isset($candidate->curve[$day])) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Need> $needs */
    private static function firstServed(Candidate $candidate, array $needs): ?int
    {
        foreach ($needs as $index => $need) {
            if ($candidate->ready <= $need->day) {
                return $need->day <= $candidate->lastField + $need->reach ? $index : null;
            }
        }

        return null;
    }

    /**
     * @param list<Candidate> $group
     *
     * @return list<Candidate>
     */
    private function keep(array $group, Need $first): array
    {
        usort($group, static fn (Candidate $a, Candidate $b): int => [$b->sow, $a->key()] <=> [$a->sow, $b->key()]);
        $kept = [];
        foreach ($group as $candidate) {
            $cost = $this->costPerUnit($candidate, $first);
            foreach ($kept as [$other, $otherCost]) {
                if ($other->lastField >= $candidate->lastField && $otherCost <= $cost + 1e-9) {
                    continue 2;
                }
            }
            $kept[] = [$candidate, $cost];
        }
        $chosen = array_map(static fn (array $pair): Candidate => $pair[0], $kept);
        usort($chosen, static fn (Candidate $a, Candidate $b): int => [$a->sow, $a->key()] <=> [$b->sow, $b->key()]);

        return $chosen;
    }

    /** Cents per unit when only the first market day is served: metres cost, rent, and the set-up never differs. */
    private function costPerUnit(Candidate $candidate, Need $first): float
    {
        $end = [] === $candidate->curve ? min($candidate->lastField, max($candidate->ready, $first->day - $first->reach))
            : $candidate->lastField;

        return ($candidate->cost + $this->rents->between($candidate->place, $candidate->bedStart, $end)) / $candidate->perMetre;
    }
}
