<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Gives planned successions their beds, earliest bed start first, and remembers what found none. */
final class Placing
{
    private readonly FirstFitBeds $beds;
    /** @var list<Planting> */
    private array $new = [];
    /** @var list<Unplaced> */
    private array $unplaced = [];
    /** @var array<string, true> */
    private array $keys = [];

    /** @param list<Planting> $kept */
    public function __construct(Garden $garden, CropBook $book, private readonly Grid $grid, array $kept)
    {
        $this->beds = new FirstFitBeds($garden, $book, $grid);
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
        return array_values(array_filter($candidates, fn (Candidate $c): bool => [] !== $this->beds->find($c, $this->grid->quarter($c->place), Period::fromFirstToLast(Day::of($c->bedStart), Day::of([] === $c->curve ? $c->ready : $c->lastField)))));
    }

    /** @param array<string, ItemPlan> $plans */
    public function place(array $plans): void
    {
        $this->unplaced = [];
        foreach (self::inOrderOfBedStart($plans) as ['candidate' => $candidate, 'steps' => $steps, 'end' => $end]) {
            $this->placeOne($candidate, $steps * $this->grid->quarter($candidate->place), $end);
        }
    }

    private function placeOne(Candidate $candidate, int $wanted, int $end): void
    {
        $stay = Period::fromFirstToLast(Day::of($candidate->bedStart), Day::of($end));
        $pieces = $this->beds->find($candidate, $wanted, $stay);
        $found = array_sum(array_map(static fn (Stretch $piece): int => $piece->to - $piece->from, $pieces));
        if ($found < $wanted) {
            $this->unplaced[] = new Unplaced($candidate, ($wanted - $found) / 1000, $wanted / 1000);
        }
        if ([] === $pieces) {
            return;
        }
        $planting = new Planting($this->freeKey($candidate), $candidate->item, $candidate->method, $candidate->place, $candidate->recipe, Day::of($candidate->sow), Day::of($candidate->ground), Day::of($candidate->bedStart), Day::of($candidate->ready), Day::of($end), $candidate->perMetre, $pieces, Standing::Planned, false, $this->beds->breaches($candidate, $pieces, $stay), variety: $candidate->variety);
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
        usort($all, static fn (array $a, array $b): int => [$a['candidate']->bedStart, -$a['steps'], $a['candidate']->key()] <=> [$b['candidate']->bedStart, -$b['steps'], $b['candidate']->key()]);

        return $all;
    }
}
