<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;

/** On which beds a planting may stand with its days, where that bends a rule, and why not elsewhere: before it is moved. */
final readonly class WhereTo
{
    /** @param array<string, BedPlace> $beds by name, in walking order */
    private function __construct(public array $beds)
    {
    }

    /** @param Planting $planting with the days it is to have; where it is on a bed of its own it may stay */
    public static function of(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting): self
    {
        $others = $garden->with($garden->plantings->without($planting->key));
        $ground = Ground::under($others, $book, $others->plantings);
        $byHand = new ByHand($book, $recipes);
        $long = $planting->length()->micrometres;
        $inPlace = $there = $none = [];
        foreach ($garden->bedsInUse() as $bed) {
            $at = $inPlace[$bed->place->value] ??= $byHand->inThePlaceOf($garden, $planting, $bed);
            $own = array_values(array_filter($at->pieces, static fn (Stretch $s): bool => $s->bed === $bed->name));
            $stretch = 1 === \count($at->pieces) && 1 === \count($own) && self::isFree($ground, $own[0], $at) ? $own[0]
                : $ground->first($bed, $at->bedStart->number, $at->clear->number, $long);
            if (null === $stretch) {
                $none[$bed->name] = CannotBeDone::noRoom($bed->name, $planting->length(), ...$ground->freeLengths($bed,
                    $at->bedStart->number,
                    $at->clear->number))->said();
                continue;
            }
            $there[$bed->name] = $at->but(pieces: [Stretch::of($bed->name, $stretch->from, $stretch->to,
                $at->pieces[0]->widthShare ?? 1.0)]);
        }
        $conflicts = (new Conflicts($book))->ofEach($others, $there);
        $beds = [];
        foreach ($garden->bedsInUse() as $bed) {
            $beds[$bed->name] = new BedPlace($bed->name, $there[$bed->name] ?? null, $conflicts[$bed->name] ?? [], $none[$bed->name]
                ?? null);
        }

        return new self($beds);
    }

    private static function isFree(Ground $ground, Stretch $piece, Planting $planting): bool
    {
        return [] === $ground->inTheWay($piece, $planting->bedStart->number, $planting->clear->number);
    }
}
