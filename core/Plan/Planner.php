<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Preparation\RecipeBook;
use JollyFurrow\Promise\Need;
use JollyFurrow\Promise\Needs;
use JollyFurrow\Promise\Values;
use JollyFurrow\Time\Day;

/**
 * Draws up the plan: from promises to needs, from needs less what already stands to successions, from successions to
 * beds. It saves nothing; the same garden gives the same plan.
 */
final readonly class Planner
{
    /** Work of so many days ahead is left as it is. */
    public const FROZEN_DAYS = 21;
    /** The whole plan, then twice more for what is still short, in the beds that are left. */
    private const ROUNDS = 3;
    /** Rents are known so many weeks past the last market day: long enough for any stay that begins before it. */
    private const RENT_WEEKS_BEYOND = 60;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** Stopped early, the plan leaves the crops it did not reach as they are. */
    public function draw(Garden $garden, Progress $progress = new NoProgress()): Plan
    {
        $needs = Needs::of($garden, $this->book);
        $kept = array_values(array_filter($garden->plantings, static fn (Planting $p): bool => $p->stays($garden->today->plus(self::FROZEN_DAYS))));
        $last = self::lastMarketDay($needs, $garden->today);
        $grid = Grid::of($garden);
        $items = new ItemPlanner($garden, $grid, self::rents($garden, $last), Values::of($garden));
        $ways = fn (string $item): array => (new Candidates($garden, $this->recipes))->of($this->book->get($item), $garden->today, $last);
        $plans = $this->plans($garden, $needs, $kept, $needs->items(), $items, $ways, $progress);
        $stopped = \count($plans) < \count($needs->items());
        $kept = $stopped ? array_values(array_filter($garden->plantings, static fn (Planting $p): bool => \in_array($p, $kept, true) || !isset($plans[$p->item]))) : $kept;
        $placing = new Placing($garden, $this->book, $grid, $kept);
        $placing->place($plans);
        $cost = array_map(static fn (ItemPlan $plan): float => $plan->cost, $plans);
        for ($round = 1; $round < self::ROUNDS && !$stopped; ++$round) {
            $standing = [...$kept, ...$placing->new()];
            $open = $this->stillShort($garden, $needs, $standing);
            $more = $this->plans($garden, $needs, $standing, $open, $items, static fn (string $item): array => $placing->withRoom($ways($item)), $progress);
            $placing->place($more);
            foreach ($more as $item => $plan) {
                $cost[$item] += $plan->cost;
            }
        }

        return $this->account($garden, $needs, $kept, $placing->new(), $placing->unplaced(), $cost, $stopped, true);
    }

    /** A quarter bed of one crop sown on one day, in the first bed that is free for it; locked. Null when it cannot be. */
    public function oneMore(Garden $garden, string $item, Day $sow, PlaceType $place, Method $method): ?Planting
    {
        $candidate = (new Candidates($garden, $this->recipes))->sownOn($this->book->get($item), $sow, $place, $method);
        if (null === $candidate || $candidate->bedStart < $garden->today->number || $garden->metresOf($place) <= 0.0) {
            return null;
        }
        $placing = new Placing($garden, $this->book, Grid::of($garden), $garden->plantings);
        $placing->place([$item => new ItemPlan([['candidate' => $candidate, 'steps' => 1, 'end' => $candidate->lastField]], 0.0)]);

        return ($placing->new()[0] ?? null)?->lock();
    }

    /**
     * Why each shortage of a plan is one, and what would still mend it.
     *
     * @return list<Explained>
     */
    public function explain(Garden $garden, Plan $plan): array
    {
        $grid = Grid::of($garden);
        $beds = new FirstFitBeds($garden, $this->book, $grid);
        array_map($beds->take(...), $plan->plantings());
        $reasons = new ShortageReasons($garden, new Candidates($garden, $this->recipes), $beds, $grid, $plan, Values::of($garden));

        return array_map(fn (Shortage $short): Explained => new Explained($short, ...$reasons->for($this->book->get($short->item), $short)), $plan->shortages);
    }

    /**
     * Successions for what the plantings there are do not serve, item by item until asked to stop.
     *
     * @param list<Planting>                    $plantings
     * @param list<string>                      $open
     * @param callable(string): list<Candidate> $ways
     *
     * @return array<string, ItemPlan>
     */
    private function plans(Garden $garden, Needs $needs, array $plantings, array $open, ItemPlanner $items, callable $ways, Progress $progress): array
    {
        $lots = $this->lots($plantings);
        $plans = [];
        foreach ($open as $i => $item) {
            if (!$progress->at($i, \count($open), $this->book->get($item)->name)) {
                break;
            }
            $rest = self::stillToServe($needs->for($item), Allocation::of($needs->for($item), $lots[$item] ?? []), $garden->today);
            $plans[$item] = $items->plan($this->book->get($item), $rest, $ways($item));
        }

        return $plans;
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return list<string> items with a need to come that is not served
     */
    private function stillShort(Garden $garden, Needs $needs, array $plantings): array
    {
        $lots = $this->lots($plantings);

        return array_values(array_filter($needs->items(), static fn (string $item): bool => [] !== array_filter(
            self::stillToServe($needs->for($item), Allocation::of($needs->for($item), $lots[$item] ?? []), $garden->today),
            static fn (Need $need): bool => $need->units > 0,
        )));
    }

    /** A plan that only tells how the plantings there are stand against the promises. */
    public function asItStands(Garden $garden): Plan
    {
        return $this->account($garden, Needs::of($garden, $this->book), $garden->plantings, [], [], [], false, false);
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return array<string, list<Lot>> by item
     */
    private function lots(array $plantings): array
    {
        $lots = [];
        foreach ($plantings as $planting) {
            $lots[$planting->item] = [...$lots[$planting->item] ?? [], ...Lot::of($planting, $this->book->get($planting->item))];
        }

        return $lots;
    }

    private static function lastMarketDay(Needs $needs, Day $today): Day
    {
        $last = $today->number;
        foreach ($needs->items() as $item) {
            $days = array_map(static fn (Need $need): int => $need->day, $needs->for($item));
            $last = max([$last, ...$days]);
        }

        return Day::of($last);
    }

    private static function rents(Garden $garden, Day $last): RentSums
    {
        $weeks = intdiv($last->since($garden->today), 7) + self::RENT_WEEKS_BEYOND;
        $weekly = [];
        foreach (PlaceType::cases() as $place) {
            $weekly[$place->value] = array_fill(0, $weeks, $garden->settings->rentAt($place));
        }

        return RentSums::fromWeeks($garden->today->number, $weekly);
    }

    /**
     * @param list<Need> $needs
     *
     * @return list<Need>
     */
    private static function stillToServe(array $needs, Allocation $standing, Day $today): array
    {
        $rest = array_map(static fn (Need $need, int $served): Need => $need->withUnits($need->units - $served), $needs, $standing->served);

        return array_values(array_filter($rest, static fn (Need $need): bool => $need->day >= $today->number));
    }

    /**
     * @param list<Planting>       $kept
     * @param list<Planting>       $new
     * @param list<Unplaced>       $unplaced
     * @param array<string, float> $cost
     */
    private function account(Garden $garden, Needs $needs, array $kept, array $new, array $unplaced, array $cost, bool $stopped, bool $drawn): Plan
    {
        $lots = $this->lots([...$kept, ...$new]);
        $served = [];
        $byItem = [];
        $shortages = [];
        foreach ($needs->items() as $item) {
            $byItem[$item] = $needs->for($item);
            $served[$item] = Allocation::of($byItem[$item], $lots[$item] ?? [])->served;
            foreach ($byItem[$item] as $j => $need) {
                if ($need->day >= $garden->today->number && $served[$item][$j] < $need->units) {
                    $shortages = [...$shortages, ...self::sharedOut($item, $need, $served[$item][$j])];
                }
            }
        }

        return new Plan($garden->today, $kept, $new, $shortages, $unplaced, $byItem, $served, $cost, $stopped, $drawn);
    }

    /**
     * The outlet served last goes short first.
     *
     * @return list<Shortage>
     */
    private static function sharedOut(string $item, Need $need, int $served): array
    {
        $shortages = [];
        foreach ($need->byOutlet as $outlet => $wanted) {
            $gets = min($wanted, $served);
            $served -= $gets;
            if ($gets < $wanted) {
                $shortages[] = new Shortage($item, (string) $outlet, Day::of($need->day), $wanted - $gets, $wanted, $need->reach);
            }
        }

        return $shortages;
    }
}
