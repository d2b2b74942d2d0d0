<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\Ledger;

/** What is brought back goes into store again, each with the age of the lot it came of: the youngest was left over. */
final readonly class Returning
{
    private const DAYS = 4;

    /** @return list<Handling> */
    public static function of(Garden $garden, MarketDay $day, string $place): array
    {
        $products = array_combine(array_map(static fn (Product $p): string => $p->key, $garden->products), $garden->products);
        $back = [];
        foreach ($day->lines as $line) {
            foreach ($products[$line->product]->parts ?? [] as $part) {
                $back[$part->item] = ($back[$part->item] ?? 0) + (int) round(100 * $line->back * $part->units);
            }
        }
        // Counted again: what went back before is back already.
        $before = 0;
        foreach ($garden->store->handlings as $handling) {
            if (HandlingKind::Returned === $handling->kind && str_starts_with($handling->key, self::key($day))) {
                $item = $garden->store->lot($handling->lot)->item ?? '';
                $back[$item] = ($back[$item] ?? 0) - $handling->hundredths;
                ++$before;
            }
        }
        $ledger = Ledger::on($garden->store, $day->day);
        $handlings = [];
        foreach (array_reverse($garden->store->harvests) as $lot) {
            $isOfIt = !$day->day->isBefore($lot->day) && $lot->day->plus(self::DAYS)->since($day->day) >= 0;
            $some = $isOfIt ? min($back[$lot->item] ?? 0, $ledger->sold($lot->key)) : 0;
            if ($some > 0) {
                $back[$lot->item] -= $some;
                $handlings[] = new Handling(self::key($day).'-'.++$before, $lot->key, $day->day,
                    HandlingKind::Returned, $some, '', $place);
            }
        }

        return $handlings;
    }

    private static function key(MarketDay $day): string
    {
        return 'r-'.substr(hash('sha256', $day->key()), 0, 20);
    }
}
