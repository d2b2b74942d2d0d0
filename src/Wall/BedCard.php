<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Work\NextStep;

/** The plantings of one bed in the order they take it, drawn to scale along the bed. */
final class BedCard
{
    private const WIDTH = 600;
    private const HEIGHT = 38;

    /** @return array{now: list<array<string, mixed>>, next: list<array<string, mixed>>, gone: list<array<string, mixed>>, keys: array<string, true>, scale: list<array{x: float, along: Length}>} */
    public static function all(Garden $garden, Bed $bed, CropBook $book, RecipeBook $recipes): array
    {
        $cards = ['now' => [], 'next' => [], 'gone' => [], 'keys' => [], 'scale' => self::scale($garden, $bed)];
        $plantings = $garden->plantings->on($bed->name)->all();
        usort($plantings, static fn (Planting $a, Planting $b): int => [$a->bedStart->number, $a->key] <=> [$b->bedStart->number, $b->key]);
        foreach ($plantings as $planting) {
            $here = array_values(array_filter($planting->pieces, static fn (Stretch $s): bool => $s->bed === $bed->name));
            $cards['keys'][$planting->key] = true;
            $when = $planting->isOver($garden->today) && [] === FieldWork::possible($planting) ? 'gone'
                : ($garden->today->isBefore($planting->bedStart) ? 'next' : 'now');
            $cards[$when][] = [
                'planting' => $planting,
                'crop' => $book->grown($planting->item, $planting->variety),
                'family' => Family::css($book->grown($planting->item, $planting->variety)->family),
                'next' => NextStep::of($planting, $recipes->get($planting->recipe), $garden, $book->grown($planting->item,
                    $planting->variety)),
                'possible' => FieldWork::expected($planting, $garden->today),
                'bars' => array_map(static fn (Stretch $s): array => ['x' => round(self::WIDTH * $s->from / $bed->length->micrometres,
                    1), 'w' => round(self::WIDTH * ($s->to - $s->from) / $bed->length->micrometres, 1), 'from' => $s->from,
                    'to' => $s->to, 'length' => $s->length(), 'y' => round(1 + self::HEIGHT * (1 - $s->widthShare
                        - WallDrawing::below($garden, $planting, $s)), 1), 'h' => round(self::HEIGHT * $s->widthShare, 1)], $here),
            ];
        }
        $cards['gone'] = array_reverse($cards['gone']);

        return $cards;
    }

    /** @return list<array{x: float, along: Length}> a mark at every quarter of the bed */
    private static function scale(Garden $garden, Bed $bed): array
    {
        return array_map(static fn (int $quarter): array => ['x' => self::WIDTH * $quarter / 4,
            'along' => Length::fromMicrometres(intdiv($bed->length->micrometres * $quarter, 4))], range(0, 4));
    }
}
