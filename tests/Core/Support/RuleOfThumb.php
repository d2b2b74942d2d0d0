<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Beds\Ground;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;

/**
 * The plain way the planner is held against: every three weeks (every two for what is cut) a sowing for what is promised
 * until the next one, at the length that yields it, on the first beds in walking order that are free.
 */
final class RuleOfThumb
{
    private const EVERY = 21;
    private const EVERY_CUTS = 14;

    /** @return list<Planting> */
    public static function plan(Garden $garden, CropBook $book, RecipeBook $recipes): array
    {
        $candidates = new Candidates($garden, $recipes);
        $grid = Grid::of($garden);
        $needs = Needs::of($garden, $book);
        $plantings = [];
        foreach ($needs->items() as $item) {
            $crop = $book->get($item);
            $days = array_map(static fn (Need $n): int => $n->day, $needs->for($item));
            $ways = [] === $days ? [] : $candidates->of($crop, $garden->today, Day::of(max($days)));
            $every = $crop->pattern->isStock() ? self::EVERY : self::EVERY_CUTS;
            for ($from = min([\PHP_INT_MAX, ...$days]); [] !== $days && $from <= max($days); $from += $every) {
                $units = array_sum(array_map(static fn (Need $n): int => $n->day >= $from && $n->day < $from + $every ? $n->units : 0,
                    $needs->for($item)));
                $latest = array_values(array_filter($ways, static fn (Candidate $c): bool => $c->ready <= $from && $c->lastField >= $from));
                $way = end($latest);
                if (0 === $units || false === $way) {
                    continue;
                }
                $steps = (int) ceil($units / $way->perMetre / $grid->metres($way));
                $plantings = self::placed($garden, $plantings, $way, $steps * $grid->step($way), min($way->lastField, [] === $way->curve
                    ? $from + $every : $way->lastField));
            }
        }

        return $plantings;
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return list<Planting>
     */
    private static function placed(Garden $garden, array $plantings, Candidate $c, int $micrometres, int $end): array
    {
        $stay = Period::fromFirstToLast(Day::of($c->bedStart), Day::of(max($end, $c->ready)));
        $ground = Ground::under($garden, Book::crops(), $plantings);
        $pieces = [];
        foreach ($garden->beds as $bed) {
            foreach ($bed->place === $c->place && $micrometres > 0 ? $ground->free($bed, $stay->start->number, $stay->last()->number)
                : [] as [$from, $to]) {
                $take = min($micrometres, $to - $from);
                if ($take > 0) {
                    $pieces[] = Stretch::of($bed->name, $from, $from + $take);
                    $micrometres -= $take;
                }
            }
        }
        $keys = array_fill_keys(array_map(static fn (Planting $p): string => $p->key, $plantings), true);

        return [] === $pieces ? $plantings : [...$plantings, $c->planting(PlantingKey::free($c->item, Day::of($c->sow), $keys), $pieces,
            last: $stay->last()->number)];
    }
}
