<?php

declare(strict_types=1);

namespace App\Plan;

use App\Codec\PlantingCodec;
use App\Wording\Sayer;
use JollyFurrow\Beds\Unplaced;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Need;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\PlanCost;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\Explained;
use JollyFurrow\Why\Explainer;

/** A plan as open data. */
final readonly class PlanJson
{
    public function __construct(private CropBook $book, private RecipeBook $recipes, private Sayer $sayer)
    {
    }

    /** @return array<string, mixed> */
    public function of(Garden $garden, Plan $plan): array
    {
        $explained = (new Explainer($this->book, $this->recipes))->explain($garden, $plan);

        return [
            'format' => 'jolly-furrow-plan',
            'version' => 1,
            'garden' => $garden->name,
            'drawn_on' => $plan->drawnOn->iso(),
            'promises_kept' => round($plan->keptShare(), 4),
            'stopped_early' => $plan->stoppedEarly,
            'kept' => array_map(static fn (Planting $p): string => $p->key, $plan->kept),
            'plantings' => array_map(PlantingCodec::values(...), $plan->new),
            'short' => array_map($this->shortage(...), $explained),
            'without_bed' => array_map($this->unplaced(...), $plan->unplaced),
            'supply' => array_map(static fn (string $item): array => self::supply($plan, $item), array_keys($plan->needs)),
            'costs' => $this->costs($garden, $plan),
        ];
    }

    /** @return array<string, mixed> */
    private static function supply(Plan $plan, string $item): array
    {
        $rows = array_map(static fn (Need $need, int $served, array $from): array => ['day' => Day::of($need->day)->iso(),
            'reach_days' => $need->reach, 'promised' => $need->units, 'served' => $served, 'from' => (object) $from],
            $plan->needs[$item], $plan->served[$item], $plan->from[$item]);

        return ['item' => $item, 'days' => $rows];
    }

    /** @return list<array{item: string, plantings_cents: float, keeping_cents: float, shortage_cents: float}> */
    private function costs(Garden $garden, Plan $plan): array
    {
        $costs = (new PlanCost($this->book, $this->recipes))->of($garden, $plan);

        return array_map(static fn (string $item, array $cost): array => ['item' => $item,
            'plantings_cents' => round($cost['plantings'], 2), 'keeping_cents' => round($cost['keeping'], 2),
            'shortage_cents' => round($cost['shortage'], 2)], array_keys($costs), $costs);
    }

    /** @return array<string, mixed> */
    private function shortage(Explained $explained): array
    {
        $short = $explained->shortage;

        return [
            'item' => $short->item,
            'outlet' => $short->outlet,
            'day' => $short->day->iso(),
            'units' => $short->units,
            'of' => $short->wanted,
            'unit' => $this->book->get($short->item)->produce->unit,
            'reason' => $explained->reason->value,
            'words' => $this->sayer->word($explained->reason),
        ];
    }

    /** @return array<string, mixed> */
    private function unplaced(Unplaced $lost): array
    {
        return [
            'item' => $lost->candidate->item,
            'sow' => Day::of($lost->candidate->sow)->iso(),
            'place' => $lost->candidate->place->value,
            'metres' => $lost->metres,
            'of' => $lost->planned,
            'reason' => \sprintf('no %s bed is free from %s to %s', $this->sayer->word($lost->candidate->place),
                Day::of($lost->candidate->bedStart)->iso(), Day::of($lost->candidate->lastField)->iso()),
        ];
    }
}
