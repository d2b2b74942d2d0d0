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
        $ledger = Ledger::on($garden->store, $day->day);
        $handlings = [];
        foreach (array_reverse($garden->store->harvests) as $lot) {
            $isOfIt = !$day->day->isBefore($lot->day) && $lot->day->plus(self::DAYS)->since($day->day) >= 0;
            $some = $isOfIt ? min($back[$lot->item] ?? 0, $ledger->sold($lot->key)) : 0;
            if ($some > 0) {
                $back[$lot->item] -= $some;
                $handlings[] = new Handling('r-'.substr(hash('sha256', $day->key().$lot->key), 0, 30), $lot->key, $day->day,
                    HandlingKind::Returned, $some, '', $place);
            }
        }

        return $handlings;
    }
}
