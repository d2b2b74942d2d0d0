<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Climate\WetOdds;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/**
 * How long before planting the work on a bed begins in one garden: the recipe's days for the time of the year, and a
 * reserve for a wet spell where a step wants dry soil and the place's rain is known.
 */
final readonly class Leads
{
    public function __construct(private Garden $garden)
    {
    }

    /** Days the bed is taken before planting. */
    public function days(Recipe $recipe, Day $ground): int
    {
        return max(array_map(static fn (array $step): int => $step['lead'], $this->steps($recipe, $ground)));
    }

    /** Days kept in hand for wet soil; 0: no step wants dry soil, or the rain is not known. */
    public function reserve(Recipe $recipe, Day $ground): int
    {
        $climate = null === $this->garden->timing() ? null : $this->garden->climate?->climate;

        return null === $climate || !$recipe->wantsDrySoil() ? 0 : WetOdds::reserve($climate, $ground);
    }

    /** @return list<DatedStep> in the order of work */
    public function dated(Recipe $recipe, Day $ground, Length $length): array
    {
        return array_map(static fn (array $s): DatedStep => DatedStep::of($recipe, $s['step'], $ground->plus(-$s['lead']), $length), $this->steps($recipe, $ground));
    }

    /** @return non-empty-list<array{step: Step, lead: int}> the reserve lies before the last step that wants dry soil */
    private function steps(Recipe $recipe, Day $ground): array
    {
        $season = BedSeason::on($ground, $this->garden->place->latitude);
        $reserve = $this->reserve($recipe, $ground);
        $steps = [];
        $isBefore = false;
        foreach (array_reverse($recipe->steps) as $step) {
            $isBefore = $isBefore || $step->needsDry;
            $steps[] = ['step' => $step, 'lead' => $step->leadIn($season) + ($isBefore ? $reserve : 0)];
        }
        usort($steps, static fn (array $a, array $b): int => $b['lead'] <=> $a['lead']);

        return $steps;
    }
}
