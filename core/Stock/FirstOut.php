<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Stock\Kernel\Taking;

/**
 * What is sold out of which lot: market days in order, the lot whose last good day comes first, of equals the opened one, the
 * older, the key. Where orders go before promises or customers accept different lots, an earlier take moves to another lot it
 * accepts, so that a later day need not stay short. Where lots lose at different rates several orders are tried and the one
 * that sells most is kept.
 */
final readonly class FirstOut
{
    /** Days of last good day a weekly loss of all of it is worth, in the orders that are tried. */
    private const WORTHS = [10.0, 20.0, 40.0, 80.0, 160.0, 400.0, 1e6];

    /**
     * @param list<array<string, float>> $takes by need: units by lot, as they weigh on that day
     * @param list<float>                $short by need
     */
    private function __construct(public array $takes, public array $short, public float $sold)
    {
    }

    /**
     * @param list<StockNeed> $needs
     * @param list<StockLot>  $lots
     */
    public static function of(array $needs, array $lots): self
    {
        $rates = array_unique(array_map(static fn (StockLot $l): string => (string) $l->weeklyLoss, $lots));
        $best = null;
        foreach (\count($rates) > 1 ? [0.0, ...self::WORTHS] : [0.0] as $worth) {
            $run = self::inOrder($needs, $lots, $worth);
            $best = null === $best || $run->sold > $best->sold + 1e-9 ? $run : $best;
        }

        return $best;
    }

    public function isShort(): bool
    {
        return null !== $this->firstShort();
    }

    /** Index of the first need that stays short; null: none. */
    public function firstShort(): ?int
    {
        foreach ($this->short as $n => $units) {
            if ($units > Taking::EPSILON) {
                return $n;
            }
        }

        return null;
    }

    /**
     * @param list<StockNeed> $needs
     * @param list<StockLot>  $lots
     */
    private static function inOrder(array $needs, array $lots, float $worth): self
    {
        usort($lots, static fn (StockLot $a, StockLot $b): int => [$a->last - $worth * 7 * $a->weeklyLoss, !$a->isOpened, $a->from, $a->key]
            <=> [$b->last - $worth * 7 * $b->weeklyLoss, !$b->isOpened, $b->from, $b->key]);
        $order = array_keys($needs);
        usort($order, static fn (int $a, int $b): int => [!$needs[$a]->isFirm, $needs[$a]->day, $a] <=> [!$needs[$b]->isFirm,
            $needs[$b]->day, $b]);
        $taking = new Taking($needs, $lots);
        foreach ($order as $n) {
            $taking->serve($n);
        }

        return new self($taking->takes(), $taking->short(), $taking->sold());
    }
}
