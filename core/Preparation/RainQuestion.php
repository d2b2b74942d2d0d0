<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Plan\Standing;
use JollyFurrow\Time\Day;

/** "So many days of rain from Monday": plantings whose work on dry soil would then come too late. */
final readonly class RainQuestion
{
    private function __construct(public Planting $planting, public DatedStep $step, public int $daysLate)
    {
    }

    /**
     * A step waits until the rain is over; it comes too late when that is after the last day the recipe leaves it, its
     * reserve used up.
     *
     * @return list<self> the latest first
     */
    public static function of(Garden $garden, RecipeBook $recipes, Day $from, int $days): array
    {
        $leads = new Leads($garden);
        $dry = $from->plus($days);
        $late = [];
        foreach ($garden->plantings as $planting) {
            if (!\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true) || $planting->ground->isBefore($garden->today) || !$recipes->has($planting->recipe)) {
                continue;
            }
            $season = BedSeason::on($planting->ground, $garden->place->latitude);
            foreach ($leads->dated($recipes->get($planting->recipe), $planting) as $step) {
                $last = $planting->ground->plus(-$step->step->leadIn($season));
                $waits = $step->step->needsDry && !$step->day->isBefore($from) && $step->day->isBefore($dry);
                if ($waits && $last->isBefore($dry)) {
                    $late[$planting->key] = new self($planting, $step, max($dry->since($last), $late[$planting->key]->daysLate ?? 0));
                }
            }
        }
        usort($late, static fn (self $a, self $b): int => [$b->daysLate, $a->planting->ground->number, $a->planting->key] <=> [$a->daysLate, $b->planting->ground->number, $b->planting->key]);

        return $late;
    }
}
