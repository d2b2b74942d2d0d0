<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;

/** "So many days of rain from Monday": plantings whose work on dry soil would then come too late. */
final readonly class RainQuestion
{
    /** A day with so much rain and more keeps soil too wet to work, mm (common practice, no source). */
    private const WET_MM = 4.0;

    private function __construct(public Planting $planting, public DatedStep $step, public int $daysLate)
    {
    }

    /**
     * The longest run of wet days of an outlook; one dry day between two wet ones does not dry the soil.
     *
     * @return array{Day, int, float}|null first day, days, mm in all; null: no two wet days together
     */
    public static function inOutlook(DailyRecord $outlook): ?array
    {
        $best = null;
        $run = null;
        foreach ($outlook->rows() as [$day, , , $rain]) {
            if (($rain ?? 0.0) >= self::WET_MM) {
                $run = null !== $run && $day - $run[0] - $run[1] <= 1 ? [$run[0], $day - $run[0] + 1, $run[2] + $rain]
                    : [$day, 1, (float) $rain];
                $best = null === $best || $run[1] > $best[1] ? $run : $best;
            }
        }

        return null === $best || $best[1] < 2 ? null : [Day::of($best[0]), $best[1], $best[2]];
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
            if (!\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true)
                || $planting->ground->isBefore($garden->today) || !$recipes->has($planting->recipe)) {
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
        usort($late, static fn (self $a, self $b): int => [$b->daysLate, $a->planting->ground->number,
            $a->planting->key] <=> [$a->daysLate, $b->planting->ground->number, $b->planting->key]);

        return $late;
    }
}
