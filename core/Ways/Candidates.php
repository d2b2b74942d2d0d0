<?php

declare(strict_types=1);

namespace JollyFurrow\Ways;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/**
 * All ways to grow a crop in a garden between today and the last market day: every place type, method and
 * sowing day inside the crop's season, by heat and light where the climate is known, else by plain catalogue days.
 */
final readonly class Candidates
{
    /** A perennial stands so many days after its first harvest, unless it is told otherwise (common practice, no source). */
    private const PERENNIAL_DAYS = 3650;

    private PlantingCost $cost;
    private Leads $leads;

    public function __construct(private Garden $garden, private RecipeBook $recipes)
    {
        $this->cost = new PlantingCost($garden, $recipes);
        $this->leads = new Leads($garden);
    }

    /** @return list<Candidate> by sowing day */
    public function of(Crop $crop, Day $from, Day $until): array
    {
        if (\in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true)) {
            return [];
        }
        $candidates = [];
        $places = array_filter($crop->places(), fn (PlaceType $place): bool => $this->garden->metresOf($place) > 0.0);
        for ($day = $from; $day->isBefore($until); $day = $day->plus(1)) {
            if (!\in_array($day->weekday(), $this->garden->settings->sowingDays, true)) {
                continue;
            }
            foreach ($places as $place) {
                foreach ($crop->methods() as $method) {
                    $candidates[] = $this->sownOn($crop, $day, $place, $method);
                }
            }
        }

        return array_values(array_filter($candidates, static fn (?Candidate $c): bool => null !== $c && $c->bedStart >= $from->number));
    }

    /** What a sowing on that day would be, whether or not it is a sowing day; null when the crop cannot go into the ground then. */
    public function sownOn(Crop $crop, Day $sow, PlaceType $place, Method $method): ?Candidate
    {
        $ground = Method::Transplanted === $method ? $this->outOfTheNursery($crop, $sow, $place) : $sow;
        $window = $this->garden->season($crop, $place);
        if (null === $crop->timing->daysFor($method) || null === $window || !$window->contains($ground)) {
            return null;
        }
        $candidate = $this->inTheGround($crop, $sow, $ground, $place, $method);

        return $candidate->lastField < $candidate->ready || $this->standsOverWinter($crop, $ground, $candidate->ready, $place) ? null
            : $candidate;
    }

    /** When plants sown on a day can go out: by the nursery's own warmth and light, else by catalogue days. */
    public function outOfTheNursery(Crop $crop, Day $sow, PlaceType $place): Day
    {
        $out = $this->garden->timing()?->of($crop, Cover::usualOf($place))->outOfTheNursery($sow->number);

        return null === $out ? $sow->plus($crop->timing->nurseryDays) : Day::of($out);
    }

    /** Nobody counts on a crop that would have to grow on in the open through the winter, unless it is of that kind. */
    public function standsOverWinter(Crop $crop, Day $ground, int $ready, PlaceType $place): bool
    {
        if (PlaceType::Field !== $place || $crop->growth->anchored || null === $this->garden->timing()) {
            return false;
        }
        $winter = MonthDay::parse($this->garden->place->latitude < 0 ? '06-21' : '12-21');
        $next = $winter->in($ground->year())->isBefore($ground) ? $winter->in($ground->year() + 1) : $winter->in($ground->year());

        return $ready > $next->number;
    }

    /**
     * What becomes of a crop that went into the ground on that day, be it in its season or not. Its last field day
     * lies before the first harvest when frost ends it before.
     */
    public function inTheGround(Crop $crop, Day $sow, Day $ground, PlaceType $place, Method $method,
        ?CoverCalendar $covers = null): Candidate
    {
        $recipe = $this->recipeFor($crop);
        $covers ??= CoverCalendar::always(Cover::usualOf($place));
        $ripe = Pattern::Perennial === $crop->pattern ? null : $this->garden->timing()?->of($crop, $covers)->fromGround($sow->number,
            $ground->number, $method);
        $ready = $ripe->ready ?? $this->ready($crop, $ground, $method);
        $curve = $crop->pattern->isStock() ? [] : HarvestCurve::shares($crop->pattern, $crop->rhythm);
        $last = match (true) {
            Pattern::Perennial === $crop->pattern => $ready + self::PERENNIAL_DAYS,
            $crop->pattern->isStock() => $ripe->lastGood ?? $ready + $crop->timing->hold,
            default => $ready + max([0, ...array_keys($curve)]),
        };
        $last = min($last, $this->frostEnd($crop, $ground, $place, $covers));
        $perMetre = $crop->produce->perMetre * ($ripe->size ?? 1.0);
        $yields = [];
        foreach ($curve as $after => $share) {
            if ($ready + $after <= $last) {
                $yields[$ready + $after] = $share * $perMetre;
            }
        }
        $last = [] === $yields || Pattern::Perennial === $crop->pattern ? $last : max(array_keys($yields));

        return new Candidate($crop->item(), $method, $place, $recipe, $sow->number, $ground->number,
            $ground->number - $this->leads->days($this->recipes->get($recipe), $ground), $ready, $last, $perMetre,
            $this->cost->setUp(), $this->cost->perMetre($crop, $method, $recipe), $yields, $crop->key,
            Wishes::tray($this->garden->settings->rules, $method, $crop->stand->rows, $crop->stand->inRow->millimetres,
                $crop->stand->cellsPerTray, $crop->stand->trayLoss));
    }

    /** Day number of the first harvest: catalogue days; for a perennial, its window in the first year it may be cut. */
    private function ready(Crop $crop, Day $ground, Method $method): int
    {
        if (Pattern::Perennial === $crop->pattern && null !== $crop->rhythm->harvest) {
            $window = $this->garden->place->latitude < 0 ? $crop->rhythm->harvest->mirrored() : $crop->rhythm->harvest;

            return $window->from->in($ground->year() + max(1, $crop->rhythm->yearsToFirst))->number;
        }
        $days = $crop->timing->daysFor($method) ?? $crop->timing->daysSown ?? $crop->timing->daysTransplanted ?? 0;

        return $ground->number + $days + ($crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0);
    }

    public function recipeFor(Crop $crop): string
    {
        return '' !== $crop->recipe && $this->recipes->has($crop->recipe) ? $crop->recipe : $this->garden->settings->recipe;
    }

    /** Day number after which frost has ended a tender crop that went into the ground on that day. */
    private function frostEnd(Crop $crop, Day $ground, PlaceType $place, CoverCalendar $covers): int
    {
        if (!$crop->tender || PlaceType::Heated === $place) {
            return \PHP_INT_MAX;
        }
        $frost = $this->garden->place->firstFrost->in($ground->year());
        if ($frost->isBefore($ground)) {
            $frost = $this->garden->place->firstFrost->in($ground->year() + 1);
        }

        $until = $frost->number - 1 + $covers->at($frost->number)->frostDays();
        $off = $covers->stays($frost->number);

        return null === $off ? $until : min($until, max($off, $frost->number - 1 + $covers->base->frostDays()));
    }
}
