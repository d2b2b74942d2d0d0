<?php

declare(strict_types=1);

namespace App\Plan;

use App\Garden\File\GardenWriter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Explained;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Plan\Unplaced;
use JollyFurrow\Promise\Need;
use JollyFurrow\Time\Day;

/** A plan as open data. */
final readonly class PlanJson
{
    public function __construct(private CropBook $book, private Planner $planner)
    {
    }

    /** @return array<string, mixed> */
    public function of(Garden $garden, Plan $plan): array
    {
        $explained = $this->planner->explain($garden, $plan);

        return [
            'format' => 'jolly-furrow-plan',
            'version' => 1,
            'garden' => $garden->name,
            'drawn_on' => $plan->drawnOn->iso(),
            'promises_kept' => round($plan->keptShare(), 4),
            'stopped_early' => $plan->stoppedEarly,
            'kept' => array_map(static fn (Planting $p): string => $p->key, $plan->kept),
            'plantings' => array_map(GardenWriter::planting(...), $plan->new),
            'short' => array_map($this->shortage(...), $explained),
            'without_bed' => array_map(self::unplaced(...), $plan->unplaced),
            'supply' => array_map(static fn (string $item, array $needs, array $served): array => ['item' => $item, 'days' => array_map(static fn (Need $n, int $units): array => ['day' => Day::of($n->day)->iso(), 'promised' => $n->units, 'served' => $units], $needs, $served)], array_keys($plan->needs), $plan->needs, $plan->served),
            'cost_cents' => array_map(static fn (float $cents): float => round($cents, 2), $plan->cost),
        ];
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
            'words' => $explained->reason->words(),
        ];
    }

    /** @return array<string, mixed> */
    private static function unplaced(Unplaced $lost): array
    {
        return [
            'item' => $lost->candidate->item,
            'sow' => Day::of($lost->candidate->sow)->iso(),
            'place' => $lost->candidate->place->value,
            'metres' => $lost->metres,
            'of' => $lost->planned,
            'reason' => \sprintf('no %s bed is free from %s to %s', $lost->candidate->place->words(), Day::of($lost->candidate->bedStart)->iso(), Day::of($lost->candidate->lastField)->iso()),
        ];
    }
}
