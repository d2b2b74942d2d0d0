<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Needs;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\RentSums;
use JollyFurrow\Succession\Wanted;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\Wishes;

/**
 * What a wish costs: the successions of every crop planned with it and without it, each crop alone and for all promises
 * from today on, beds without end.
 */
final readonly class WishCost
{
    /** Valuations an item gets: both sides the same. */
    private const EFFORT = 1600;

    /**
     * @param string $wish    in words
     * @param float  $bedDays share of bed metre-days more with it
     * @param float  $cents   more with it, broken promises and rent included
     */
    private function __construct(public string $wish, public float $bedDays, public float $cents)
    {
    }

    /** @return list<self> the dearest first; only wishes there are */
    public static function all(Garden $garden, CropBook $book, RecipeBook $recipes): array
    {
        $with = self::planned($garden, $book, $recipes);
        $costs = [];
        foreach (self::without($garden) as $wish => $freed) {
            $without = self::planned($freed, $book, $recipes);
            $costs[] = new self($wish, $without[0] > 0.0 ? $with[0] / $without[0] - 1 : 0.0, $with[1] - $without[1]);
        }
        usort($costs, static fn (self $a, self $b): int => $b->cents <=> $a->cents);

        return $costs;
    }

    /** @return array<string, Garden> the garden without each wish, by the wish in words */
    private static function without(Garden $garden): array
    {
        $s = $garden->settings;
        $r = $s->rules;
        $ruled = static fn (PlanRules $rules): Garden => $garden->set($s->ruledBy($rules));
        $freed = [];
        if (\count($s->sowingDays) < 7) {
            $freed['sowing on '.implode(', ', array_map(static fn (Weekday $d): string => $d->name,
                $s->sowingDays)).' only'] = $garden->set(new Settings($s->units, $s->currency, Weekday::cases(), $s->recipe, $s->rent,
                    $s->shortageFactor, $s->keepingShare, $s->wage, $s->rotation, $s->compostDepth, $s->nitrogenRate,
                    $s->fertiliserNitrogen, $s->kit, $r));
        }
        if (Lengths::Metres !== $r->lengths) {
            $freed['lengths in '.$r->lengths->words()] = $ruled($r->wishing(lengths: Lengths::Metres));
        }
        if ($r->fullTrays) {
            $freed['planted out in full trays'] = $ruled($r->wishing(fullTrays: false));
        }
        if ($r->mostSowings > 0) {
            $freed[\sprintf('%d sowings of a crop in a month at most', $r->mostSowings)] = $ruled($r->wishing(mostSowings: 0));
        }
        if ([] !== $r->methods) {
            $freed['crops sown or planted out as chosen'] = $ruled($r->wishing(methods: []));
        }
        if ([] !== $r->keeping) {
            $freed['crops stored or grown on as chosen'] = $ruled($r->wishing(keeping: []));
        }
        if ($r->reserve > 0.0) {
            $freed[\sprintf('%s %% in reserve', round(100 * $r->reserve, 1))] = $ruled($r->wishing(reserve: 0.0));
        }

        return $freed;
    }

    /** @return array{float, float} metre-days, cents */
    private static function planned(Garden $garden, CropBook $book, RecipeBook $recipes): array
    {
        $needs = Needs::of($garden, $book);
        $values = Values::of($garden);
        $last = $garden->today;
        foreach ($needs->items() as $item) {
            foreach ($needs->for($item) as $need) {
                $last = $last->number < $need->day ? Day::of($need->day) : $last;
            }
        }
        $wishes = new Wishes(new Candidates($garden, $recipes), $book, $garden);
        $rents = Planner::baseRents($garden, intdiv($last->since($garden->today), 7) + 60);
        $sums = RentSums::fromWeeks($garden->today->number, $rents);
        $grid = Grid::of($garden);
        $items = new ItemPlanner($grid, Planner::metres($garden));
        $days = $cents = 0.0;
        foreach ($needs->items() as $item) {
            $ways = $wishes->ways($item, $garden->today, $last);
            $open = array_values(array_filter($needs->for($item), static fn ($need): bool => $need->day >= $garden->today->number));
            $plan = $items->plan(new Wanted(Item::of($garden, $book->get($item), $values), $wishes->needs($item, $open), $ways), $sums,
                self::EFFORT);
            $cents += $plan->cost;
            foreach ($plan->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
                $days += $steps * $grid->metres($c) * ($end - $c->bedStart + 1);
            }
            $extra = $wishes->extra($open);
            if ([] !== $extra) {
                $more = $items->plan(new Wanted(Item::of($garden, $book->get($item), $values), $extra, $ways), $sums, self::EFFORT);
                foreach ($more->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
                    $days += $steps * $grid->metres($c) * ($end - $c->bedStart + 1);
                    $cents += $c->setUp + $steps * $grid->metres($c) * ($c->cost + $sums->between($c->place, $c->bedStart, $end));
                }
            }
        }

        return [$days, $cents];
    }
}
