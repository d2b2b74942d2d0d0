<?php

declare(strict_types=1);

namespace App\Codec;

use App\Shared\Faults;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;

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
        foreach ($root->objects('plantings', Limits::PLANTINGS) as $node) {
            $planting = $this->planting($node, $beds);
            if (isset($plantings[$planting->key])) {
                $node->fault('key', 'stands twice; every planting needs a key of its own.');
            }
            foreach ($planting->pieces as $piece) {
                foreach ($onBed[$piece->bed] ?? [] as [$other, $when, $key]) {
                    if ($when->overlaps($planting->occupancy()) && $other->isInTheWayOf($piece)) {
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

        return PlantingCodec::read($node, $item, $variety, $recipe, $place, $this->pieces($node, $beds, $place));
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
        foreach ($root->has('notes') ? $root->objects('notes', Limits::NOTES) : [] as $node) {
            $planting = $node->text('planting', 100);
            if (!isset($known[$planting])) {
                $node->fault('planting', 'is not among the plantings of this file.');
            }
            $notes[] = new FieldNote($planting, $node->choice('what', Happening::class), $node->day('day'), $node->has('length_mm')
                ? Length::fromMicrometres($node->length('length_mm', 1, 500_000)) : null,
                $node->has('share') ? $node->float('share', 0, 1) : null, $node->has('units') ? $node->float('units', 0, 10_000_000)
                    : null, $node->text('words', 400, '/^/u'), $node->has('sign') ? $node->choice('sign', Sign::class) : null);
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
        $lengths = array_map(static fn (Bed $bed): int => $bed->length->micrometres, $beds);
        $pieces = [];
        foreach ($node->objects('pieces', Limits::PIECES) as $piece) {
            $stretch = StretchReader::stretch($piece, $lengths);
            if (null !== $stretch) {
                $pieces[] = $stretch;
                if ($beds[$stretch->bed]->place !== $place) {
                    $piece->fault('bed', \sprintf('is %s, but the planting is for %s.', $beds[$stretch->bed]->place->value, $place->value));
                }
            }
        }
        if ([] === $pieces) {
            $node->fault('pieces', 'is empty; a planting stands on at least one stretch of bed.');
        }

        return $pieces;
    }
}
