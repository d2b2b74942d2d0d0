<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

/**
 * A mix out of what there is: as much as is wanted or can be had within the bounds of its parts, and then as near its usual
 * shares as that lets, the sum of (share - usual) squared / usual. In whole steps, one at a time where it costs least: exact, for
 * what each part costs grows with it.
 */
final readonly class Mixing
{
    /** What is no usual part of it comes in last. */
    private const NEVER = 1e-9;

    /**
     * @param array<string, int> $steps   of each part
     * @param string|null        $without a part that must be in it and is not there: without it?
     * @param bool               $isWrong the bounds cannot be met by any mix
     */
    private function __construct(public array $steps, public ?string $without = null, public bool $isWrong = false)
    {
    }

    public function all(): int
    {
        return array_sum($this->steps);
    }

    /**
     * @param list<MixPart>      $parts
     * @param array<string, int> $there  steps of each there are
     * @param int                $wanted steps
     */
    public static function of(array $parts, array $there, int $wanted): self
    {
        if (array_sum(array_column($parts, 'low')) > 1 + 1e-9 || array_sum(array_column($parts, 'high')) < 1 - 1e-9) {
            return new self([], isWrong: true);
        }
        foreach ($parts as $part) {
            if ($part->low > 0.0 && 0 === ($there[$part->item] ?? 0)) {
                return new self([], $part->item);
            }
        }
        $have = array_map(static fn (MixPart $p): int => $there[$p->item] ?? 0, $parts);
        for ($all = min($wanted, array_sum($have)); $all > 0; --$all) {
            $low = array_map(static fn (MixPart $p): int => (int) ceil($p->low * $all - 1e-9), $parts);
            $high = array_map(static fn (MixPart $p, int $n): int => min($n, (int) floor($p->high * $all + 1e-9)), $parts, $have);
            if (self::fits($low, $high, $all)) {
                return new self(self::nearest($parts, $low, $high, $all));
            }
        }

        return new self([]);
    }

    /**
     * @param list<int> $low
     * @param list<int> $high
     */
    private static function fits(array $low, array $high, int $all): bool
    {
        foreach ($low as $n => $least) {
            if ($least > $high[$n]) {
                return false;
            }
        }

        return array_sum($low) <= $all && $all <= array_sum($high);
    }

    /**
     * @param list<MixPart> $parts
     * @param list<int>     $low
     * @param list<int>     $high
     *
     * @return array<string, int>
     */
    private static function nearest(array $parts, array $low, array $high, int $all): array
    {
        $steps = $low;
        for ($left = $all - array_sum($low); $left > 0; --$left) {
            $best = null;
            $least = \INF;
            foreach ($parts as $n => $part) {
                // What the next step of it adds to the sum, but for what all of them have in common.
                $cost = $steps[$n] >= $high[$n] ? \INF : (2 * $steps[$n] + 1) / max(self::NEVER, $part->usual);
                [$best, $least] = $cost < $least ? [$n, $cost] : [$best, $least];
            }
            if (null === $best) {
                break;
            }
            ++$steps[$best];
        }

        return array_combine(array_map(static fn (MixPart $p): string => $p->item, $parts), $steps);
    }
}
