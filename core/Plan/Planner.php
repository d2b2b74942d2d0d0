<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Beds\Placing;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Joint\JointPlanner;
use JollyFurrow\Joint\NamedProgress;
use JollyFurrow\Joint\NoProgress;
use JollyFurrow\Joint\Progress;
use JollyFurrow\Land\Bed;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\CandidateChoice;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlan;
use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\RentSums;
use JollyFurrow\Succession\Rooms;
use JollyFurrow\Succession\Wanted;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\Wishes;

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

    /** @var \WeakMap<Garden, Plan> who gets what of what stands, dealt out once a garden */
    private \WeakMap $asItStands;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
        /** @var \WeakMap<Garden, Plan> $none */
        $none = new \WeakMap();
        $this->asItStands = $none;
    }

    /** Stopped early, the plan leaves the crops it did not reach as they are. What the scope leaves out stays too. */
    public function draw(Garden $garden, Progress $progress = new NoProgress(), ?Scope $scope = null,
        ?SuccessionSchool $school = null): Plan
    {
        $scope ??= Scope::whole();
        $reserve = array_flip($garden->settings->rules->reserveBeds);
        $in = $garden->onBeds(array_values(array_filter($scope->beds($garden),
            static fn (Bed $bed): bool => !isset($reserve[$bed->name]) && null === $bed->retired)));
        $needs = Needs::of($garden, $this->book);
        $reckoning = new Reckoning($this->book, $garden, $needs);
        $kept = $garden->plantings->where(static fn (Planting $p): bool => $p->stays($garden->today->plus(self::FROZEN_DAYS))
            || !$scope->covers($p))->all();
        $last = self::lastMarketDay($needs, $garden->today);
        $wishes = new Wishes(new Candidates($in, $this->recipes), $this->book, $garden, $school);
        $grid = Grid::of($in);
        $weeks = intdiv($last->since($garden->today), 7) + self::RENT_WEEKS_BEYOND;
        $open = $scope->needs($reckoning->stillToServe($kept));
        $wanted = $this->wanted($garden, $wishes, $open, $last);
        $items = new ItemPlanner($grid, self::metres($in));
        $rents = self::baseRents($garden, $weeks);
        $named = new NamedProgress($progress, $this->book);
        $joint = (new JointPlanner($items, $grid, Rooms::of($in, $grid, $kept, 7 * $weeks), $rents))->draw($wanted, $named);
        $unreached = array_diff_key($open, $joint->plans);
        $kept = $garden->plantings->where(static fn (Planting $p): bool => isset($unreached[$p->item])
            || \in_array($p, $kept, true))->all();
        $placing = new Placing($in, $this->book, $this->recipes, $grid, $kept);
        $placing->place($joint->plans);
        $cost = array_map(static fn (ItemPlan $plan): float => $plan->cost, $joint->plans);
        for ($round = 1; $round < self::ROUNDS && [] === $unreached; ++$round) {
            foreach ($this->wanted($garden, $wishes, $scope->needs($reckoning->stillToServe([...$kept, ...$placing->new()])),
                $last) as $item => $rest) {
                $plan = $items->plan(new Wanted($rest->item, $rest->needs, $placing->withRoom($rest->candidates)),
                    RentSums::fromWeeks($garden->today->number, $rents), ItemPlanner::EFFORT_FOR_THE_REST);
                $placing->place([$item => $plan]);
                $cost[$item] = ($cost[$item] ?? 0.0) + $plan->cost;
            }
        }
        foreach ([] === $unreached ? $wanted : [] as $item => $one) {
            $sums = RentSums::fromWeeks($garden->today->number, $rents);
            self::placeExtra($placing, $items, $one, $wishes->extra($open[$item]), $sums);
        }

        return $reckoning->plan($kept, $placing->new(), $placing->unplaced(), $cost, [] !== $unreached || !$joint->isWhole, true);
    }

    /**
     * Sowings beyond the promises, where the garden wishes for them.
     *
     * @param list<Need> $extra
     */
    private static function placeExtra(Placing $placing, ItemPlanner $items, Wanted $wanted, array $extra, RentSums $rents): void
    {
        if ([] !== $extra) {
            $more = new Wanted($wanted->item, $extra, $placing->withRoom($wanted->candidates));
            $placing->place([$wanted->item->key => $items->plan($more, $rents, ItemPlanner::EFFORT_FOR_THE_REST)]);
        }
    }

    /**
     * @param array<string, list<Need>> $open
     *
     * @return array<string, Wanted>
     */
    private function wanted(Garden $garden, Wishes $wishes, array $open, Day $last): array
    {
        $values = Values::of($garden);
        $wanted = [];
        foreach ($open as $item => $needs) {
            $ways = $wishes->ways($item, $garden->today, $last);
            $wanted[$item] = new Wanted(Item::of($garden, $this->book->get($item), $values), CandidateChoice::served($ways,
                $wishes->needs($item, $needs)), $ways);
        }

        return $wanted;
    }

    /** @return array<string, float> of beds by place type */
    public static function metres(Garden $garden): array
    {
        return array_combine(array_map(static fn (PlaceType $p): string => $p->value, PlaceType::cases()),
            array_map($garden->metresOf(...), PlaceType::cases()));
    }

    /** A plan that only tells how the plantings there are stand against the promises. */
    public function asItStands(Garden $garden): Plan
    {
        return $this->asItStands[$garden] ??= (new Reckoning($this->book, $garden, Needs::of($garden, $this->book)))
            ->plan($garden->plantings->all(), [], [], [], false, false);
    }

    /** A quarter bed of one crop sown on one day, in the first bed that is free for it; locked. Null when it cannot be. */
    public function oneMore(Garden $garden, string $item, Day $sow, PlaceType $place, Method $method): ?Planting
    {
        $ways = new Candidates($garden, $this->recipes);
        $candidate = null;
        foreach ($this->book->varietiesOf($item) as $variety) {
            $candidate ??= $ways->sownOn($variety, $sow, $place, $method);
        }
        if (null === $candidate || $candidate->bedStart < $garden->today->number || $garden->metresOf($place) <= 0.0) {
            return null;
        }
        $placing = new Placing($garden, $this->book, $this->recipes, Grid::of($garden), $garden->plantings->all());
        $placing->place([$item => new ItemPlan([['candidate' => $candidate, 'steps' => 1, 'end' => $candidate->lastField]], 0.0)]);

        return ($placing->new()[0] ?? null)?->lock();
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

    /** @return array<string, array<int, float>> base rents by place type and week */
    public static function baseRents(Garden $garden, int $weeks): array
    {
        $weekly = [];
        foreach (PlaceType::cases() as $place) {
            $weekly[$place->value] = array_fill(0, $weeks, $garden->settings->rentAt($place));
        }

        return $weekly;
    }
}
