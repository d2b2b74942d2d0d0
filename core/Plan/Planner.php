<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
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
    /** The whole plan, then twice more for what found no bed, in the beds that are left. */
    private const ROUNDS = 3;
    /** Rents are known so many weeks past the last market day: long enough for any stay that begins before it. */
    private const RENT_WEEKS_BEYOND = 60;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    public function draw(Garden $garden, Progress $progress = new NoProgress()): Plan
    {
        $needs = Needs::of($garden, $this->book);
        $kept = array_values(array_filter($garden->plantings, static fn (Planting $p): bool => $p->stays($garden->today->plus(self::FROZEN_DAYS))));
        $grid = Grid::of($garden);
        $placing = new Placing($garden, $this->book, $grid, $kept);
        $last = self::lastMarketDay($needs, $garden->today);
        $items = new ItemPlanner($garden, $grid, self::rents($garden, $last), Values::of($garden));
        $candidates = new Candidates($garden, $this->recipes);
        $open = $needs->items();
        $cost = array_fill_keys($open, 0.0);
        $stopped = false;
        for ($round = 0; $round < self::ROUNDS && [] !== $open && !$stopped; ++$round) {
            $lots = $this->lots([...$kept, ...$placing->new()]);
            $plans = [];
            foreach ($open as $i => $item) {
                if (!$progress->at($i, \count($open), $this->book->get($item)->name)) {
                    $stopped = true;
                    break;
                }
                $crop = $this->book->get($item);
                $rest = self::stillToServe($needs->for($item), Allocation::of($needs->for($item), $lots[$item] ?? []), $garden->today);
                $ways = $candidates->of($crop, $garden->today, $last);
                $plans[$item] = $items->plan($crop, $rest, 0 === $round ? $ways : $placing->withRoom($ways));
                $cost[$item] += $plans[$item]->cost;
            }
            $open = $placing->place($plans);
        }

        return $this->account($garden, $needs, $kept, $placing->new(), $placing->unplaced(), $cost, $stopped, true);
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
        $grid = Grid::of($garden);
        $beds = new FirstFitBeds($garden, $this->book, $grid);
        array_map($beds->take(...), [...$kept, ...$new]);
        $reasons = new ShortageReasons($garden, new Candidates($garden, $this->recipes), $beds, $grid, $drawn, $unplaced);
        $served = [];
        $byItem = [];
        $shortages = [];
        foreach ($needs->items() as $item) {
            $byItem[$item] = $needs->for($item);
            $served[$item] = Allocation::of($byItem[$item], $lots[$item] ?? [])->served;
            foreach ($byItem[$item] as $j => $need) {
                if ($need->day >= $garden->today->number && $served[$item][$j] < $need->units) {
                    $shortages = [...$shortages, ...self::sharedOut($item, $need, $served[$item][$j], ...$reasons->for($this->book->get($item), $need))];
                }
            }
        }

        return new Plan($garden->today, $kept, $new, $shortages, $unplaced, $byItem, $served, $cost, $stopped);
    }

    /**
     * The outlet served last goes short first.
     *
     * @return list<Shortage>
     */
    private static function sharedOut(string $item, Need $need, int $served, ShortageReason $reason, ?Mend $mend): array
    {
        $shortages = [];
        foreach ($need->byOutlet as $outlet => $wanted) {
            $gets = min($wanted, $served);
            $served -= $gets;
            if ($gets < $wanted) {
                $shortages[] = new Shortage($item, (string) $outlet, Day::of($need->day), $wanted - $gets, $wanted, $reason, $mend);
            }
        }

        return $shortages;
    }
}
