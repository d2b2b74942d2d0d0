<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Climate\WetOdds;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Time\Day;

/**
 * How long before planting the work on a bed begins in one garden: the recipe's days for the time of the year, and a
 * reserve for a wet spell where a step wants dry soil and the place's rain is known.
 */
final readonly class Leads
{
    /**
     * Tough rhizomes want the first step so many days sooner (common practice, no source: two weeks more under a tarp or
     * between passes).
     */
    public const TOUGH_DAYS = 14;

    /** @var array<string, Bed> */
    private array $beds;

    public function __construct(private Garden $garden)
    {
        $this->beds = $garden->bedsByName();
    }

    /**
     * Days the bed is taken before planting.
     *
     * @param bool $isTough tough-rooted weeds stand there
     */
    public function days(Recipe $recipe, Day $ground, bool $isTough = false): int
    {
        return max(array_map(static fn (array $step): int => $step['lead'], $this->steps($recipe, $ground, $isTough)));
    }

    /** Days for a planting on the beds it stands on. */
    public function daysFor(Recipe $recipe, Planting $planting, ?Day $ground = null): int
    {
        return $this->days($recipe, $ground ?? $planting->ground, $this->isTough($planting));
    }

    /** Whether tough-rooted weeds stand on one of a planting's beds. */
    public function isTough(Planting $planting): bool
    {
        return [] !== array_filter($planting->pieces, fn (Stretch $piece): bool => 'tough' === ($this->beds[$piece->bed]
            ?? null)?->temper->weeds);
    }

    /** Days kept in hand for wet soil; 0: no step wants dry soil, or the rain is not known. */
    public function reserve(Recipe $recipe, Day $ground): int
    {
        $climate = null === $this->garden->timing() ? null : $this->garden->climate->climate;

        return null === $climate || !$recipe->wantsDrySoil() ? 0 : WetOdds::reserve($climate, $ground);
    }

    /** @return list<DatedStep> of one planting, in the order of work */
    public function dated(Recipe $recipe, Planting $planting): array
    {
        $ground = $planting->ground;

        return array_map(static fn (array $s): DatedStep => DatedStep::of($recipe, $s['step'], $ground->plus(-$s['lead']),
            $planting->length()), $this->steps($recipe, $ground, $this->isTough($planting)));
    }

    /** @return non-empty-list<array{step: Step, lead: int}> the reserve lies before the last step that wants dry soil; tough weeds want the first step sooner */
    private function steps(Recipe $recipe, Day $ground, bool $isTough): array
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
        $steps[0]['lead'] += $isTough ? self::TOUGH_DAYS : 0;

        return $steps;
    }
}
