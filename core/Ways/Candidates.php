<?php

declare(strict_types=1);

namespace JollyFurrow\Ways;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Harvest\HarvestDays;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Measure\Length;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/**
 * All ways to grow a crop in a garden between today and the last market day: every place type, method and
 * sowing day the place lets the crop go into the ground, counted by heat and light, or by plain catalogue days.
 */
final class Candidates
{
    /** A perennial stands so many days after its first harvest, unless it is told otherwise (common practice, no source). */
    private const PERENNIAL_DAYS = 3650;

    /** What keeps so many days in store is sown once in a fortnight at most: more often gains nothing (own choice). */
    private const KEEPS_LONG = 60;
    private const FORTNIGHT = 14;

    /** Days a roof has to gain, or to lengthen the harvest by, to be planned for (own choice). */
    private const GAINS = 7;
    private const LENGTHENS = 14;

    /** @var array<string, Length> by place type */
    private array $widths = [];
    private readonly Here $here;
    private readonly PlantingCost $cost;
    private readonly Leads $leads;
    /** What the place does, whether or not the garden goes by it. */
    private readonly LocalTiming $local;
    /** The same where the garden goes by heat and light; null: by catalogue days. */
    private readonly ?LocalTiming $timing;

    public function __construct(private readonly Garden $garden, private readonly RecipeBook $recipes)
    {
        $this->local = $garden->local();
        $this->timing = $garden->timing();
        $this->here = new Here($garden);
        $this->cost = new PlantingCost($garden, $recipes);
        $this->leads = new Leads($garden);
    }

    /**
     * Ways to grow one variety: the first, or, where that gives nothing here, the one that can be sown on most days. Onions
     * of long days bulb nowhere near the equator; those of short days do.
     *
     * @param list<Crop> $varieties
     *
     * @return list<Candidate> by sowing day
     */
    public function ofTheFittest(array $varieties, Day $from, Day $until): array
    {
        $most = [] === $varieties ? [] : $this->of($varieties[0], $from, $until);
        foreach ([] === $most ? \array_slice($varieties, 1) : [] as $variety) {
            $ways = $this->of($variety, $from, $until);
            $most = \count($ways) > \count($most) ? $ways : $most;
        }

        return $most;
    }

    /** @return list<Candidate> by sowing day */
    public function of(Crop $crop, Day $from, Day $until): array
    {
        if (\in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true)) {
            return [];
        }
        $isKept = $crop->pattern->isStock() && $crop->produce->stored && $crop->produce->keepingDays >= self::KEEPS_LONG;
        $fortnight = null;
        $candidates = [];
        $places = array_filter($crop->places(), fn (PlaceType $place): bool => $this->garden->metresOf($place) > 0.0);
        for ($day = $from; $day->isBefore($until); $day = $day->plus(1)) {
            if (!\in_array($day->weekday(), $this->garden->settings->sowingDays, true)
                || ($isKept && intdiv($day->number, self::FORTNIGHT) === $fortnight)) {
                continue;
            }
            $fortnight = intdiv($day->number, self::FORTNIGHT);
            foreach ($crop->methods() as $method) {
                $open = null;
                foreach ($places as $place) {
                    $candidate = $this->sownOn($crop, $day, $place, $method);
                    $open ??= PlaceType::Field === $place ? $candidate : null;
                    $candidates[] = self::isWorthItsRoof($candidate, $open) ? $candidate : null;
                }
            }
        }

        return array_values(array_filter($candidates, static fn (?Candidate $c): bool => null !== $c && $c->bedStart >= $from->number));
    }

    /** A roof is thought of where it gains a week, or lengthens the harvest by two; all else stands as well in the open. */
    private static function isWorthItsRoof(?Candidate $candidate, ?Candidate $open): bool
    {
        return null === $candidate || null === $open || $candidate->place === $open->place
            || $candidate->ready <= $open->ready - self::GAINS || $candidate->lastField >= $open->lastField + self::LENGTHENS;
    }

    /**
     * What a sowing on that day would be, whether or not it is a sowing day; null when the place does not let the crop go
     * into the ground then, or nobody there would plan it.
     */
    public function sownOn(Crop $crop, Day $sow, PlaceType $place, Method $method): ?Candidate
    {
        $ground = Method::Transplanted === $method ? $this->outOfTheNursery($crop, $sow, $place) : $sow;
        if (null === $ground || null !== $this->here->against($crop, $method, $place, $sow, $ground)) {
            return null;
        }
        $candidate = $this->inTheGround($crop, $sow, $ground, $place, $method);

        return $candidate->lastField < $candidate->ready ? null : $candidate;
    }

    /**
     * When plants sown on a day can go out: by the nursery's own warmth and light, else by catalogue days; null: they
     * outgrow their cells.
     */
    public function outOfTheNursery(Crop $crop, Day $sow, PlaceType $place): ?Day
    {
        if (null === $this->timing) {
            return $sow->plus($crop->timing->nurseryDays);
        }
        $out = $this->timing->of($crop, Cover::usualOf($place))->outOfTheNursery($sow->number);

        return null === $out ? null : Day::of($out);
    }

    /**
     * What becomes of a crop that went into the ground on that day, be it its season or not. Its last field day lies
     * before the first harvest when frost, seed or darkness ends it before.
     */
    public function inTheGround(Crop $crop, Day $sow, Day $ground, PlaceType $place, Method $method,
        ?CoverCalendar $covers = null, ?Length $width = null): Candidate
    {
        $recipe = $this->recipeFor($crop);
        $covers ??= CoverCalendar::always(Cover::usualOf($place));
        $ripening = $this->local->of($crop, $covers);
        $ripe = \in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true) ? null
            : $ripening->fromGround($sow->number, $ground->number, $method);
        $timed = null === $this->timing ? null : $ripe;
        $ready = Pattern::Perennial === $crop->pattern ? $this->firstSeason($crop, $ground, $method, $ripening)
            : $timed->ready ?? $this->ready($crop, $ground, $method);
        $perMetre = $crop->perMetreOn($width ?? $this->widths[$place->value] ??= $this->garden->usualWidth($place)) * ($timed->size ?? 1.0);
        $last = $this->last($crop, $ready, $ripe, $timed);
        $yields = [];
        foreach (null === $timed ? self::byCalendar($crop, $ready) : HarvestDays::of($crop, $ripening, $timed) as $day => $share) {
            if ($day <= $last) {
                $yields[$day] = $share * $perMetre;
            }
        }
        $last = [] === $yields || Pattern::Perennial === $crop->pattern ? $last : max(array_keys($yields));

        return new Candidate($crop->item(), $method, $place, $recipe, $sow->number, $ground->number,
            $ground->number - $this->leads->days($this->recipes->get($recipe), $ground), $ready, $last, $perMetre,
            $this->cost->setUp(), $this->cost->perMetre($crop, $method, $recipe), $yields, $crop->key,
            Wishes::tray($this->garden->settings->rules, $method, $crop->standFor($method)));
    }

    /** @return array<int, float> share of the whole yield by day number, as the crop's rhythm has it */
    private static function byCalendar(Crop $crop, int $ready): array
    {
        $days = [];
        foreach ($crop->pattern->isStock() ? [] : HarvestCurve::shares($crop->pattern, $crop->rhythm) as $after => $share) {
            $days[$ready + $after] = $share;
        }

        return $days;
    }

    /** Day number it stands fit until; before it is ready where it comes to nothing. */
    private function last(Crop $crop, int $ready, ?Ripeness $ripe, ?Ripeness $timed): int
    {
        if (Pattern::Perennial === $crop->pattern) {
            return $ready + self::PERENNIAL_DAYS;
        }
        if (Pattern::GreenManure === $crop->pattern) {
            return $ready;
        }
        $shares = HarvestCurve::shares($crop->pattern, $crop->rhythm);
        $fit = $crop->pattern->isStock() ? $timed->lastGood ?? $ready + $crop->timing->hold
            : ($timed->lastGood ?? $ready + max(array_keys($shares)));

        return null === $ripe ? min($fit, $ready - 1) : min($fit, $ripe->ends);
    }

    /**
     * Day number a perennial is first harvested: when its season begins here, in the first year it may be cut. What was
     * planted long ago is reckoned as if this year; without a year's warmth it goes by the book's season.
     */
    private function firstSeason(Crop $crop, Day $ground, Method $method, Ripening $ripening): int
    {
        $asIf = $ground->inYear($this->garden->today->year());
        $ripe = null === $this->timing ? null : $ripening->fromGround($asIf->number, $asIf->number, $method);
        if (null !== $ripe) {
            return $ground->number + $ripe->ready - $asIf->number;
        }
        $window = $crop->rhythm->harvest;
        $first = $ground->inYear($ground->year() + max(1, $crop->rhythm->yearsToFirst));

        return null === $window ? $first->number
            : ($this->garden->place->latitude < 0 ? $window->mirrored() : $window)->from->in($first->year())->number;
    }

    /** Day number of the first harvest by catalogue days. */
    private function ready(Crop $crop, Day $ground, Method $method): int
    {
        $days = $crop->timing->daysNearest($method);

        return $ground->number + $days + ($crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0);
    }

    public function recipeFor(Crop $crop): string
    {
        return '' !== $crop->recipe && $this->recipes->has($crop->recipe) ? $crop->recipe : $this->garden->settings->recipe;
    }
}
