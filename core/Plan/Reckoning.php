<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Beds\Unplaced;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;

/** Holds plantings against needs: what is served, what is still to serve, who goes short. */
final readonly class Reckoning
{
    public function __construct(private CropBook $book, private Garden $garden, private Needs $needs)
    {
    }

    /**
     * What the plantings do not serve, from today on.
     *
     * @param list<Planting> $plantings
     *
     * @return array<string, list<Need>> by item; items wholly served are left out
     */
    public function stillToServe(array $plantings): array
    {
        $lots = $this->lots($plantings);
        $open = [];
        foreach ($this->needs->items() as $item) {
            $served = Allocation::of($this->needs->for($item), $lots[$item] ?? [])->served;
            $rest = array_map(static fn (Need $need, int $units): Need => $need->withUnits($need->units - $units),
                $this->needs->for($item), $served);
            $rest = array_values(array_filter($rest, fn (Need $need): bool => $need->day >= $this->garden->today->number
                && $need->units > 0));
            if ([] !== $rest) {
                $open[$item] = $rest;
            }
        }

        return $open;
    }

    /**
     * @param list<Planting>       $kept
     * @param list<Planting>       $new
     * @param list<Unplaced>       $unplaced
     * @param array<string, float> $cost
     */
    public function plan(array $kept, array $new, array $unplaced, array $cost, bool $stopped, bool $drawn): Plan
    {
        $lots = $this->lots([...$kept, ...$new]);
        $served = [];
        $from = [];
        $byItem = [];
        $shortages = [];
        foreach ($this->needs->items() as $item) {
            $byItem[$item] = $this->needs->for($item);
            $allocation = Allocation::of($byItem[$item], $lots[$item] ?? []);
            $served[$item] = $allocation->served;
            $from[$item] = $allocation->from;
            foreach ($byItem[$item] as $j => $need) {
                if ($need->day >= $this->garden->today->number && $served[$item][$j] < $need->units) {
                    $shortages = [...$shortages, ...self::sharedOut($item, $need, $served[$item][$j])];
                }
            }
        }

        return new Plan($this->garden->today, $kept, $new, $shortages, $unplaced, $byItem, $served, $from, $cost, $stopped, $drawn);
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return array<string, list<Lot>> by item
     */
    private function lots(array $plantings): array
    {
        $supply = new TrueSupply($this->garden, $this->book);
        $lots = $supply->loose();
        foreach ($plantings as $planting) {
            $lots[$planting->item] = [...$lots[$planting->item] ?? [], ...$supply->lots($planting)];
        }

        return $lots;
    }

    /**
     * The outlet served last goes short first.
     *
     * @return list<Shortage>
     */
    private static function sharedOut(string $item, Need $need, int $served): array
    {
        $shortages = [];
        foreach ($need->byOutlet as $outlet => $wanted) {
            $gets = min($wanted, $served);
            $served -= $gets;
            if ($gets < $wanted) {
                $shortages[] = new Shortage($item, (string) $outlet, Day::of($need->day), $wanted - $gets, $wanted, $need->reach);
            }
        }

        return $shortages;
    }
}
