<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Recipe\RecipeBook;

/**
 * Holds a plan file against its garden file: every hard rule, supply against need by market day, cost. It shares the
 * crop book and the recipes with the planner and none of its code, so that an error of one is seen by the other.
 */
final readonly class PlanChecker
{
    public const GARDEN = 'jolly-furrow-garden';
    public const PLAN = 'jolly-furrow-plan';
    public const VERSION = 1.0;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /**
     * @param array<mixed> $gardenFile decoded
     * @param array<mixed> $planFile   decoded
     *
     * @return list<Fault>
     */
    public function check(array $gardenFile, array $planFile): array
    {
        $garden = new Sheet($gardenFile);
        $plan = new Sheet($planFile);
        if (self::GARDEN !== $garden->text('format') || self::PLAN !== $plan->text('format')
            || self::VERSION !== $plan->number('version')) {
            return [new Fault(FaultKind::Format, 'format', 'These are not a garden file and a plan file of this version.')];
        }
        $faults = [];
        if ($garden->text('name') !== $plan->text('garden')) {
            $faults[] = new Fault(FaultKind::OtherGarden, 'garden', \sprintf('The plan is of "%s", the garden is "%s".',
                $plan->text('garden'), $garden->text('name')));
        }
        if ($garden->day('today') !== $plan->day('drawn_on')) {
            $faults[] = new Fault(FaultKind::OtherDay, 'drawn_on', \sprintf('The plan was drawn up on %s, the garden stands as on %s.',
                $plan->text('drawn_on'), $garden->text('today')));
        }
        $standing = new StandingRules($garden, $plan);
        $there = $standing->plantings();
        $timing = new TimingRules($garden, $this->book, $this->recipes);
        $ground = new GroundRules($garden);
        $where = new WhereRules($garden, $this->book);
        $supply = new SupplyRules($garden, $plan, $this->book, $there);
        $cost = new CostRules($garden, $plan, $this->book, $this->recipes);

        return [...$faults, ...$standing->faults(), ...array_merge([], ...array_map($timing->faults(...), $plan->parts('plantings'))),
            ...$ground->faults($there), ...$where->faults($plan->parts('plantings'), $there), ...$supply->faults(), ...$cost->faults()];
    }
}
