<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Values;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Ways\PlantingCost;

/** What a drawn-up plan costs, item by item: the new plantings, what waits for its market day, what is short. Cents. */
final readonly class PlanCost
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** @return array<string, array{plantings: float, keeping: float, shortage: float}> by item */
    public function of(Garden $garden, Plan $plan): array
    {
        $costs = [];
        $price = new PlantingCost($garden, $this->recipes);
        $values = Values::of($garden);
        $new = [];
        foreach ($plan->new as $planting) {
            $costs[$planting->item]['plantings'] = ($costs[$planting->item]['plantings'] ?? 0.0) + $price->of($planting,
                $this->book)->value;
            $new[$planting->key] = $planting;
        }
        foreach ($plan->from as $item => $byNeed) {
            $unit = $this->book->get($item)->pattern->isStock() ? $garden->settings->keepingShare * ($values[$item] ?? 0.0) : 0.0;
            foreach ($byNeed as $j => $sources) {
                foreach (array_intersect_key($sources, $new) as $key => $units) {
                    $costs[$item]['keeping'] = ($costs[$item]['keeping'] ?? 0.0) + $unit * $units * max(0,
                        $plan->needs[$item][$j]->day - $new[$key]->ready->number);
                }
            }
        }
        $factor = $garden->settings->shortageFactor;
        foreach ($plan->shortages as $short) {
            $costs[$short->item]['shortage'] = ($costs[$short->item]['shortage'] ?? 0.0) + $short->units * Item::penaltyFor($factor,
                $values[$short->item] ?? 0.0);
        }
        ksort($costs);

        return array_map(static fn (array $cost): array => $cost + ['plantings' => 0.0, 'keeping' => 0.0, 'shortage' => 0.0], $costs);
    }
}
