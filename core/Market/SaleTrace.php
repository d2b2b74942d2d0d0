<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Time\Day;

/**
 * Which lots were sold where: what was taken out of store for an outlet, and what went to market straight from the bed, the oldest
 * first, at most so many days before. Units sold without a lot are told.
 */
final readonly class SaleTrace
{
    /** What was not put anywhere went to a market so many days later at most. */
    private const DAYS = 4;

    /**
     * @param array<string, array<string, array<string, int>>> $lots      hundredths by market day (outlet/day), item and lot
     * @param array<string, array<string, int>>                $traceless hundredths sold of which no lot is known, by market day and item
     */
    private function __construct(public array $lots, public array $traceless)
    {
    }

    /** @param list<MarketDay> $days */
    public static function of(Garden $garden, array $days): self
    {
        usort($days, static fn (MarketDay $a, MarketDay $b): int => [$a->day->number, $a->outlet] <=> [$b->day->number, $b->outlet]);
        $straight = $stored = [];
        foreach ($garden->store->harvests as $lot) {
            '' !== $lot->place || !$lot->grade->isKept() ?: $straight[$lot->item][$lot->key] = [$lot->day->number, $lot->hundredths];
        }
        $items = [];
        foreach ($garden->store->harvests as $lot) {
            $items[$lot->key] = $lot->item;
        }
        foreach ($garden->store->handlings as $handling) {
            if (HandlingKind::Sold === $handling->kind && isset($items[$handling->lot])) {
                $stored[$handling->to.'/'.$handling->day->iso()][$items[$handling->lot]][$handling->lot] = $handling->hundredths;
            }
        }
        $found = $traceless = [];
        foreach ($days as $day) {
            foreach (self::sold($garden, $day) as $item => $wanted) {
                $from = $stored[$day->key()][$item] ?? [];
                foreach ($straight[$item] ?? [] as $lot => [$cut, $left]) {
                    if ($cut <= $day->day->number && $day->day->number <= $cut + self::DAYS && $left > 0) {
                        $from[$lot] = $left;
                    }
                }
                foreach ($from as $lot => $left) {
                    $some = min($left, $wanted);
                    if ($some > 0) {
                        $found[$day->key()][$item][$lot] = $some;
                        $wanted -= $some;
                        isset($straight[$item][$lot]) ? $straight[$item][$lot][1] -= $some : null;
                    }
                }
                $wanted <= 0 ?: $traceless[$day->key()][$item] = $wanted;
            }
        }

        return new self($found, $traceless);
    }

    /** @return array<string, int> hundredths of a unit that was sold at a market day, by item */
    private static function sold(Garden $garden, MarketDay $day): array
    {
        $products = array_combine(array_map(static fn (Product $p): string => $p->key, $garden->products), $garden->products);
        $sold = [];
        foreach ($day->lines as $line) {
            foreach ($products[$line->product]->parts ?? [] as $part) {
                $sold[$part->item] = ($sold[$part->item] ?? 0) + (int) round(100 * $line->units() * $part->units);
            }
        }

        return $sold;
    }

    /** @return list<array{string, Day, int}> outlet, day and hundredths, of one lot */
    public function ofLot(string $lot): array
    {
        $all = [];
        foreach ($this->lots as $key => $items) {
            foreach ($items as $lots) {
                $cut = (int) strrpos($key, '/');
                isset($lots[$lot]) ? $all[] = [substr($key, 0, $cut), Day::parse(substr($key, $cut + 1)), $lots[$lot]] : null;
            }
        }

        return $all;
    }
}
