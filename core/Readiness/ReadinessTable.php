<?php

declare(strict_types=1);

namespace JollyFurrow\Readiness;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Promise\Outlet;

/** When crops are ready, by use and outlet; what the table does not say the book's own sign does. */
final readonly class ReadinessTable
{
    /** @var array<string, list<ReadinessCard>> by crop */
    private array $byCrop;

    /** @param list<ReadinessCard> $cards */
    public function __construct(array $cards)
    {
        $byCrop = [];
        foreach ($cards as $card) {
            foreach ($card->crops as $crop) {
                $byCrop[$crop][] = $card;
            }
        }
        $this->byCrop = $byCrop;
    }

    /** @return non-empty-list<ReadinessCard> by use, the youngest first; within one use for who sells it soonest first */
    public function of(Crop $crop): array
    {
        $cards = $this->byCrop[$crop->key] ?? $this->byCrop[$crop->item()] ?? [];
        $isThere = [] !== array_filter($cards, static fn (ReadinessCard $c): bool => HarvestUse::Usual === $c->use);
        $cards = $isThere ? $cards : [...$cards, new ReadinessCard($crop->item(), [$crop->item()], HarvestUse::Usual, 0, 1.0,
            $crop->habits->sign, '', '', '')];
        \assert([] !== $cards);
        usort($cards, static fn (ReadinessCard $a, ReadinessCard $b): int => [$a->from, $a->use->value, $a->saleDays]
            <=> [$b->from, $b->use->value, $b->saleDays]);

        return $cards;
    }

    /** @return non-empty-list<HarvestUse> as what it can be taken, the youngest first */
    public function uses(Crop $crop): array
    {
        return array_values(array_unique(array_map(static fn (ReadinessCard $c): HarvestUse => $c->use, $this->of($crop)), \SORT_REGULAR));
    }

    /** The card that goes for an outlet: it is sold there up to so many days after it is picked. */
    public function forOutlet(Crop $crop, Outlet $outlet, HarvestUse $use = HarvestUse::Usual): ?ReadinessCard
    {
        $days = $outlet->reach($crop->produce);
        $found = null;
        foreach ($this->of($crop) as $card) {
            $found = $card->use === $use && $card->saleDays <= $days ? $card : $found;
        }

        return $found;
    }

    /** Share of its development from which something can be taken of it. */
    public function earliest(Crop $crop): float
    {
        return min(array_map(static fn (ReadinessCard $c): float => $c->from, $this->of($crop)));
    }
}
