<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlan;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;

/** Gives planned successions their beds, earliest bed start first, and remembers what found none. */
final class Placing
{
    private readonly BedChoice $beds;
    /** @var list<Planting> */
    private array $new = [];
    /** @var list<Unplaced> */
    private array $unplaced = [];
    /** @var array<string, true> */
    private array $keys = [];

    /** @param iterable<Planting> $kept */
    public function __construct(Garden $garden, CropBook $book, RecipeBook $recipes, private readonly Grid $grid, iterable $kept)
    {
        $this->beds = new BedChoice($garden, $book, $recipes, $grid);
        foreach ($kept as $planting) {
            $this->beds->take($planting);
            $this->keys[$planting->key] = true;
        }
    }

    /** @return list<Planting> */
    public function new(): array
    {
        return $this->new;
    }

    /** @return list<Unplaced> what the last round could not place */
    public function unplaced(): array
    {
        return $this->unplaced;
    }

    /**
     * The candidates for which at least a quarter bed is still free.
     *
     * @param list<Candidate> $candidates
     *
     * @return list<Candidate>
     */
    public function withRoom(array $candidates): array
    {
        return array_values(array_filter($candidates, fn (Candidate $c): bool => $this->beds->hasRoom($c, [] === $c->curve ? $c->ready
            : $c->lastField)));
    }

    /** @param array<string, ItemPlan> $plans */
    public function place(array $plans): void
    {
        $this->unplaced = [];
        foreach (self::inOrderOfBedStart($plans) as ['candidate' => $candidate, 'steps' => $steps, 'end' => $end]) {
            $this->placeOne($candidate, $steps * $this->grid->step($candidate), $end);
        }
    }

    private function placeOne(Candidate $candidate, int $wanted, int $end): void
    {
        $offer = $this->beds->offer($candidate, $wanted, $end);
        if ($offer->micrometres() < $wanted) {
            $this->unplaced[] = new Unplaced($candidate, ($wanted - $offer->micrometres()) / Length::METRE, $wanted / Length::METRE);
        }
        if ([] === $offer->pieces) {
            return;
        }
        $planting = $candidate->planting($this->freeKey($candidate), $offer->pieces, $offer->recipe, $offer->start, $end,
            $offer->remarks());
        $this->beds->take($planting);
        $this->new[] = $planting;
    }

    private function freeKey(Candidate $candidate): string
    {
        $key = PlantingKey::free($candidate->item, Day::of($candidate->sow), $this->keys);
        $this->keys[$key] = true;

        return $key;
    }

    /**
     * @param array<string, ItemPlan> $plans
     *
     * @return list<array{candidate: Candidate, steps: int, end: int}>
     */
    private static function inOrderOfBedStart(array $plans): array
    {
        $all = array_merge([], ...array_values(array_map(static fn (ItemPlan $plan): array => $plan->successions, $plans)));
        usort($all, static fn (array $a, array $b): int => [$a['candidate']->bedStart, -$a['steps'],
            $a['candidate']->key()] <=> [$b['candidate']->bedStart, -$b['steps'], $b['candidate']->key()]);

        return $all;
    }
}
