<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Soil\Nutrients;

/**
 * How many mixes a block is given: each bed its own to begin with; then those two are joined whose joining saves most, a
 * mix less to weigh against product and excess more, until none saves (own model). What is joined is then mixed of whole scoops
 * and buckets.
 */
final readonly class BlockMixes
{
    /**
     * @param float          $fee     cents a mix takes to weigh and carry
     * @param float          $excess  cents a kilogram of nutrient over the need is reckoned at
     * @param float          $short   share of a need that may be missing on a bed
     * @param Nutrients|null $allowed grams a square metre over the need; null: any
     */
    public function __construct(private ProductChoice $choice, private float $fee = 300.0, private float $excess = 300.0,
        private float $short = 0.1, private ?Nutrients $allowed = null)
    {
    }

    /**
     * @param list<BedNeed> $needs of one block and week
     *
     * @return list<Mix> in the order of their first beds
     */
    public function of(array $needs): array
    {
        $groups = array_map(static fn (BedNeed $need): array => [$need], array_values(array_filter($needs,
            static fn (BedNeed $b): bool => !$b->need->isNone())));
        $mixes = array_map($this->mix(...), $groups);
        $saved = [];
        while (true) {
            $best = null;
            for ($a = 0, $n = \count($groups); $a < $n; ++$a) {
                for ($b = $a + 1; $b < $n; ++$b) {
                    $key = self::key($groups[$a]).'+'.self::key($groups[$b]);
                    $saved[$key] ??= $this->joined($groups[$a], $groups[$b], $mixes[$a], $mixes[$b]);
                    [$saves, $mix] = $saved[$key];
                    if (null !== $mix && $saves > 1e-9 && (null === $best || $saves > $best[0] + 1e-9)) {
                        $best = [$saves, $a, $b, $mix];
                    }
                }
            }
            if (null === $best) {
                return array_values(array_filter(array_map(fn (array $group, ?Mix $mix): ?Mix => Mix::of($group, $this->choice,
                    $this->allowed,
                    $this->short, true) ?? $mix, $groups, $mixes)));
            }
            [, $a, $b, $mix] = $best;
            $groups[$a] = [...$groups[$a], ...$groups[$b]];
            $mixes[$a] = $mix;
            array_splice($groups, $b, 1);
            array_splice($mixes, $b, 1);
        }
    }

    /** What a mix costs, with the excess it lays out and the work of one. */
    public function cost(Mix $mix): float
    {
        return $this->fee + $mix->cents + $mix->excess / 1000 * $this->excess;
    }

    /**
     * @param non-empty-list<BedNeed> $a
     * @param non-empty-list<BedNeed> $b
     *
     * @return array{float, Mix|null} cents it saves to join them
     */
    private function joined(array $a, array $b, ?Mix $one, ?Mix $other): array
    {
        $mix = $this->mix([...$a, ...$b]);

        return null === $mix || null === $one || null === $other ? [0.0, null]
            : [$this->cost($one) + $this->cost($other) - $this->cost($mix), $mix];
    }

    /** @param non-empty-list<BedNeed> $group */
    private function mix(array $group): ?Mix
    {
        return Mix::of($group, $this->choice, $this->allowed, $this->short);
    }

    /** @param list<BedNeed> $group */
    private static function key(array $group): string
    {
        return implode(',', array_map(static fn (BedNeed $b): string => $b->key, $group));
    }
}
