<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

/** Beds told as a grower tells them: "A1 to A4, A7", in walking order. */
final class BedRuns
{
    /** Fewer beds beside each other than this are told one by one. */
    private const RUN = 3;

    /**
     * @param list<string>  $beds names
     * @param iterable<Bed> $walk all beds, in walking order
     *
     * @return list<array{string, string}> first and last of each run; of one bed the same
     */
    public static function of(array $beds, iterable $walk): array
    {
        $runs = [];
        $at = null;
        $block = null;
        $n = 0;
        foreach ($walk as $bed) {
            ++$n;
            if (!\in_array($bed->name, $beds, true)) {
                continue;
            }
            $isNext = $at === $n - 1 && $block === $bed->block;
            $isNext ? $runs[\count($runs) - 1][] = $bed->name : $runs[] = [$bed->name];
            [$at, $block] = [$n, $bed->block];
        }

        return array_merge([], ...array_map(static fn (array $run): array => \count($run) < self::RUN
            ? array_map(static fn (string $bed): array => [$bed, $bed], $run) : [[$run[0], $run[\count($run) - 1]]], $runs));
    }

    /**
     * The few beds of a block that are not among them; null: too many, or beds of several blocks.
     *
     * @param list<string>  $beds
     * @param iterable<Bed> $walk
     *
     * @return list<string>|null
     */
    public static function allBut(array $beds, iterable $walk, string $block, int $most = 2): ?array
    {
        $others = $in = [];
        foreach ($walk as $bed) {
            if ($bed->block === $block) {
                \in_array($bed->name, $beds, true) ? $in[] = $bed->name : $others[] = $bed->name;
            }
        }

        return \count($in) === \count($beds) && \count($in) > self::RUN && \count($others) <= $most ? $others : null;
    }
}
