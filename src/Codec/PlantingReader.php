<?php

declare(strict_types=1);

namespace App\Codec;

use App\Shared\Faults;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Left;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;

/** Plantings of a garden file, held against the beds: right place type, dates in order, no two on one stretch. */
final readonly class PlantingReader
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /**
     * @param array<string, Bed> $beds
     *
     * @return list<Planting>
     */
    public function plantings(Node $root, array $beds): array
    {
        $plantings = [];
        $onBed = [];
        foreach ($root->objects('plantings') as $node) {
            $planting = $this->planting($node, $beds);
            if (isset($plantings[$planting->key])) {
                $node->fault('key', 'stands twice; every planting needs a key of its own.');
            }
            foreach ($planting->pieces as $piece) {
                foreach ($onBed[$piece->bed] ?? [] as [$other, $when, $key]) {
                    if ($other->sharesGroundWith($piece) && $when->overlaps($planting->occupancy()) && $other->widthShare + $piece->widthShare > 1.0001) {
                        $node->fault('pieces', \sprintf('lies on bed %s where %s stands at the same time.', $piece->bed, $key));
                    }
                }
                $onBed[$piece->bed][] = [$piece, $planting->occupancy(), $planting->key];
            }
            $plantings[$planting->key] = $planting;
        }

        return array_values($plantings);
    }

    /**
     * One planting written earlier by this application; null when it no longer fits the garden's beds or the books.
     *
     * @param array<mixed>       $values
     * @param array<string, Bed> $beds
     */
    public function written(array $values, array $beds): ?Planting
    {
        $faults = new Faults();
        $planting = $this->planting(new Node($values, 'planting', $faults), $beds);

        return [] === $faults->all() ? $planting : null;
    }

    /** @param array<string, Bed> $beds */
    private function planting(Node $node, array $beds): Planting
    {
        $item = $node->key('item');
        if (!$this->book->hasItem($item)) {
            $node->fault('item', 'is not in the crop book.');
        }
        $variety = $node->has('variety') ? $node->key('variety') : $item;
        if ($this->book->hasItem($item) && (!$this->book->has($variety) || $this->book->get($variety)->item() !== $item)) {
            $node->fault('variety', \sprintf('is no variety of %s in the crop book.', $item));
        }
        $recipe = $node->key('recipe');
        if (!$this->recipes->has($recipe)) {
            $node->fault('recipe', 'is no preparation recipe there is.');
        }
        $place = $node->choice('place', PlaceType::class);
        $dates = array_map($node->day(...), ['sow' => 'sow', 'ground' => 'ground', 'bed_start' => 'bed_start', 'ready' => 'ready', 'clear' => 'clear']);
        $inOrder = $dates['sow']->number <= $dates['ground']->number && $dates['bed_start']->number <= $dates['ground']->number
            && $dates['ground']->number <= $dates['ready']->number && $dates['ready']->number <= $dates['clear']->number;
        if (!$inOrder) {
            $node->fault('ready', 'does not lie in order: sow and bed_start come before ground, then ready, then clear.');
            $dates['clear'] = $dates['bed_start'];
        }

        return new Planting($node->text('key', 100), $item, $node->choice('method', Method::class), $place, $recipe, $dates['sow'], $dates['ground'], $dates['bed_start'], $dates['ready'], $dates['clear'],
            $node->float('per_metre', 0, 10_000), $this->pieces($node, $beds, $place), $node->choice('standing', Standing::class), $node->bool('locked'), $node->texts('remarks', 50),
            $node->has('stand') ? $node->float('stand', 0, 1) : 1.0, $node->has('left') ? self::left($node->object('left')) : null, $variety);
    }

    private static function left(Node $node): Left
    {
        return new Left($node->float('share', 0, 1), $node->day('since'));
    }

    /**
     * Notes of what happened; each is of a planting of the same file.
     *
     * @param list<Planting> $plantings
     *
     * @return list<FieldNote>
     */
    public function notes(Node $root, array $plantings): array
    {
        $known = array_flip(array_map(static fn (Planting $p): string => $p->key, $plantings));
        $notes = [];
        foreach ($root->has('notes') ? $root->objects('notes') : [] as $node) {
            $planting = $node->text('planting', 100);
            if (!isset($known[$planting])) {
                $node->fault('planting', 'is not among the plantings of this file.');
            }
            $notes[] = new FieldNote($planting, $node->choice('what', Happening::class), $node->day('day'), $node->has('length_mm') ? Length::fromMillimetres($node->int('length_mm', 1, 500_000)) : null,
                $node->has('share') ? $node->float('share', 0, 1) : null, $node->has('units') ? $node->float('units', 0, 10_000_000) : null, $node->text('words', 400, '/^/u'), $node->has('sign') ? $node->choice('sign', Sign::class) : null);
        }

        return $notes;
    }

    /**
     * @param array<string, Bed> $beds
     *
     * @return list<Stretch>
     */
    private function pieces(Node $node, array $beds, PlaceType $place): array
    {
        $lengths = array_map(static fn (Bed $bed): int => $bed->length->millimetres, $beds);
        $pieces = [];
        foreach ($node->objects('pieces', 500) as $piece) {
            $stretch = StretchReader::stretch($piece, $lengths);
            if (null !== $stretch) {
                $pieces[] = $stretch;
                if ($beds[$stretch->bed]->place !== $place) {
                    $piece->fault('bed', \sprintf('is %s, but the planting is for %s.', $beds[$stretch->bed]->place->words(), $place->words()));
                }
            }
        }
        if ([] === $pieces) {
            $node->fault('pieces', 'is empty; a planting stands on at least one stretch of bed.');
        }

        return $pieces;
    }
}
