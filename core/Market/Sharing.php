<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

/**
 * Who gets how much when there is too little: firm orders before standing ones before promises, in each the outlet served first
 * first, and among equals by their needs: whole sale units by largest remainder, with what somebody was cut short of before added.
 */
final readonly class Sharing
{
    /**
     * @param array<string, int>   $given units by outlet
     * @param array<string, float> $carry units each was given too few of so far; below 0: too many
     */
    private function __construct(public array $given, public array $carry)
    {
    }

    /**
     * @param list<Claim>          $claims one of each outlet and kind
     * @param array<string, float> $carry  from market days before
     */
    public static function of(int $supply, array $claims, array $carry = []): self
    {
        $tiers = [];
        foreach ($claims as $claim) {
            $tiers[$claim->kind->value][$claim->priority][] = $claim;
        }
        ksort($tiers);
        $given = [];
        foreach ($tiers as $byPriority) {
            ksort($byPriority);
            foreach ($byPriority as $equals) {
                foreach (self::among($supply, $equals, $carry) as $n => $units) {
                    $outlet = $equals[$n]->outlet;
                    $given[$outlet] = ($given[$outlet] ?? 0) + $units;
                    $supply -= $units;
                }
            }
        }

        return new self($given, $carry);
    }

    /**
     * @param non-empty-list<Claim> $equals
     * @param array<string, float>  $carry
     *
     * @return list<int> units by claim
     */
    private static function among(int $supply, array $equals, array &$carry): array
    {
        $needs = array_sum(array_map(static fn (Claim $c): int => $c->units, $equals));
        if ($supply >= $needs) {
            return array_map(static fn (Claim $c): int => $c->units, $equals);
        }
        $quotas = array_map(static fn (Claim $c): float => $supply * $c->units / $needs, $equals);
        $given = array_map(static fn (Claim $c, float $q): int => $c->whole * (int) floor($q / $c->whole + 1e-9), $equals, $quotas);
        $order = array_keys($equals);
        usort($order, static fn (int $a, int $b): int => [-($quotas[$a] - $given[$a] + ($carry[$equals[$a]->outlet] ?? 0.0)),
            $equals[$a]->outlet] <=> [-($quotas[$b] - $given[$b] + ($carry[$equals[$b]->outlet] ?? 0.0)), $equals[$b]->outlet]);
        $rest = $supply - array_sum($given);
        foreach ($order as $n) {
            $whole = $equals[$n]->whole;
            if ($whole <= $rest && $given[$n] + $whole <= $equals[$n]->units) {
                $given[$n] += $whole;
                $rest -= $whole;
            }
        }
        foreach ($equals as $n => $claim) {
            $carry[$claim->outlet] = ($carry[$claim->outlet] ?? 0.0) + $quotas[$n] - $given[$n];
        }

        return array_values($given);
    }
}
