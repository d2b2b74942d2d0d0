<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/**
 * Care of what stands and of what is planned, dated from its true development: emergence and the way to the harvest by
 * warmth and light where the climate is known, by catalogue days elsewhere. An emergence that was noted beats the model.
 */
final readonly class CareCalendar
{
    /** Soil at which emergence is taken where no climate is known, degrees C. */
    private const USUAL_SOIL = 15.0;
    private const MOST_TIMES = 40;
    private const WEED_PASS = 'Weed pass';
    /** Hours per 100 m of bed to open, weed and close again (common practice, no source). */
    private const UNDER_COVER_HOURS = 2.5;

    /**
     * Weeds come again after so much rain, mm, fallen within so many days of a pass; they stand in thread stage so many
     * days later (common practice, no source).
     */
    private const FLUSH_MM = 10.0;
    private const FLUSH_DAYS = 7;
    private const THREAD_DAYS = 5;
    /** A day of so much rain still belongs to the spell, mm. */
    private const WET_DAY = 1.0;

    /** Two weeks colder than this in the mean, and weeds stand still, degrees C (common practice, no source). */
    private const WEEDS_GROW = 5.0;
    /** An ordinary pass so many days after the one that rain made due is left out. */
    private const NEAR_DAYS = 5;

    /** @var list<CareRule> those that ship, and the garden's own */
    private array $rules;

    /** @param list<CareRule> $rules that ship */
    public function __construct(private Garden $garden, private CropBook $book, private RecipeBook $recipes, array $rules)
    {
        $this->rules = [...$rules, ...OwnCareRules::of($garden->diary->ownCare)];
    }

    /** @return list<CareRule> what the grower may do or leave for this planting */
    public function choices(Planting $planting): array
    {
        $crop = $this->book->grown($planting->item, $planting->variety);

        return array_values(array_filter($this->rules, fn (CareRule $rule): bool => $rule->isChoice
            && $this->isPossible($rule, $crop, $planting) && [] !== $this->days($rule, $crop, $planting)));
    }

    private function isDone(CareRule $rule, Crop $crop, Planting $planting): bool
    {
        return $this->isPossible($rule, $crop, $planting) && !\in_array($rule->key, $planting->careLeftOut, true);
    }

    private function isPossible(CareRule $rule, Crop $crop, Planting $planting): bool
    {
        $mulch = $this->recipes->has($planting->recipe) ? $this->recipes->get($planting->recipe)->mulch : Mulch::None;

        return $rule->isFor($crop, $planting->method) && (!$rule->isOnBareSoil || $mulch->isBare());
    }

    /** @return list<CareStep> from one day to another, both within, by day and bed */
    public function between(Day $from, Day $until): array
    {
        $steps = array_merge([], ...array_map($this->of(...),
            $this->garden->plantings->where(fn (Planting $p): bool => !$p->isOver($this->garden->today))->all()));
        $steps = array_values(array_filter($steps, static fn (CareStep $s): bool => !$s->day->isBefore($from)
            && !$until->isBefore($s->day)));
        usort($steps, static fn (CareStep $a, CareStep $b): int => [$a->day->number, $a->planting->pieces[0]->bed,
            $a->name] <=> [$b->day->number, $b->planting->pieces[0]->bed, $b->name]);

        return $steps;
    }

    /** @return list<CareStep> all care of one planting, by day */
    public function of(Planting $planting): array
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $steps = [];
        foreach ($this->rules as $rule) {
            foreach ($this->isDone($rule, $crop, $planting) ? $this->days($rule, $crop, $planting) : [] as $n => $day) {
                $steps[] = new CareStep($planting, $rule->name, $day, $rule->hoursPer100Metres * $planting->length()->metres() / 100,
                    $rule->tool, $rule->key.'/'.($n + 1), $rule);
            }
        }
        $steps = $this->withoutPassesUnderCover($planting, $crop, $steps);
        $steps = $this->afterRain($planting, $steps);
        foreach ($this->garden->protections as $protection) {
            $care = $protection->isOver($planting->key, array_map(static fn ($piece): string => $piece->bed, $planting->pieces))
                ? CoverCare::of($this->garden, $planting, $crop, $protection) : null;
            $on = $protection->days->start->iso();
            foreach ($care->weedings ?? [] as $n => $day) {
                $steps[] = new CareStep($planting, 'Open the cover and weed', $day,
                    self::UNDER_COVER_HOURS * $planting->length()->metres() / 100, 'hands', 'open-cover/'.$on.'/'.($n + 1));
            }
            if (null !== $care?->flowering) {
                $steps[] = new CareStep($planting, 'Take the cover off for the bees', $care->flowering, 0.0, 'hands', 'bees/'.$on);
            }
        }
        usort($steps, static fn (CareStep $a, CareStep $b): int => [$a->day->number, $a->name] <=> [$b->day->number, $b->name]);

        return $steps;
    }

    /** @return list<array{Kit, Day, Day}> kit put up for a planting, from when, until it is cleared */
    public function supports(Planting $planting): array
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $up = [];
        foreach ($this->rules as $rule) {
            $days = null !== $rule->lays && $this->isDone($rule, $crop, $planting) ? $this->days($rule, $crop, $planting) : [];
            if (null !== $rule->lays && [] !== $days) {
                $up[] = [$rule->lays, $days[0], $planting->clear];
            }
        }

        return $up;
    }

    /**
     * While a cover lies over the bed it is opened for weeding instead.
     *
     * @param list<CareStep> $steps
     *
     * @return list<CareStep>
     */
    private function withoutPassesUnderCover(Planting $planting, Crop $crop, array $steps): array
    {
        $beds = array_map(static fn ($piece): string => $piece->bed, $planting->pieces);
        foreach ($this->garden->protections as $protection) {
            $care = $protection->isOver($planting->key, $beds) ? CoverCare::of($this->garden, $planting, $crop, $protection) : null;
            $days = null === $care || [] === $care->weedings ? null
                : Period::fromFirstToLast($care->weedings[0]->plus(-self::THREAD_DAYS), $care->flowering ?? $protection->days->last());
            $steps = null === $days ? $steps : array_values(array_filter($steps,
                static fn (CareStep $s): bool => !str_starts_with($s->name, self::WEED_PASS) || !$days->contains($s->day)));
        }

        return $steps;
    }

    /**
     * With a pass again, where rain has brought weeds up after one and the next is not due by then; it takes the place of
     * the ordinary one near it.
     *
     * @param list<CareStep> $steps
     *
     * @return list<CareStep>
     */
    private function afterRain(Planting $planting, array $steps): array
    {
        foreach ($steps as $pass) {
            $again = str_starts_with($pass->name, self::WEED_PASS) ? $this->dryAgain($pass->day) : null;
            $isDue = null === $again || [] !== array_filter($steps, static fn (CareStep $s): bool => str_starts_with($s->name,
                self::WEED_PASS) && $pass->day->isBefore($s->day) && !$again->isBefore($s->day));
            if (null === $again || $isDue || $planting->clear->isBefore($again)) {
                continue;
            }
            $steps = array_values(array_filter($steps, static fn (CareStep $s): bool => !str_starts_with($s->name, self::WEED_PASS)
                || $s->day->isBefore($again) || $s->day->since($again) > self::NEAR_DAYS));
            $steps[] = new CareStep($planting, self::WEED_PASS.' again, after rain', $again, $pass->hours, $pass->tool,
                $pass->step.'/rain');
        }

        return $steps;
    }

    /** The day weeds stand in thread stage again, after the spell of rain that brought them up; null: too little fell. */
    private function dryAgain(Day $pass): ?Day
    {
        $rain = $this->garden->climate->measured->rain;
        $fell = 0.0;
        for ($day = $pass->number; $day < $pass->number + self::FLUSH_DAYS && $fell < self::FLUSH_MM; ++$day) {
            $fell += $rain[$day] ?? 0.0;
        }
        while ($fell >= self::FLUSH_MM && ($rain[$day] ?? 0.0) >= self::WET_DAY) {
            ++$day;
        }

        return $fell < self::FLUSH_MM ? null : Day::of($day - 1 + self::THREAD_DAYS);
    }

    /** @return list<Day> on which something by that rule falls due, whatever the rules of care are */
    public function daysOf(CareRule $rule, Planting $planting): array
    {
        return $this->days($rule, $this->book->grown($planting->item, $planting->variety), $planting);
    }

    /** @return list<Day> never before it stands, never after the bed is cleared */
    private function days(CareRule $rule, Crop $crop, Planting $planting): array
    {
        $ripening = $this->garden->timing()?->of($crop, $this->garden->coversOf($planting));
        $up = $this->emergence($crop, $planting, $ripening);
        if ($up->since($planting->ground) < $rule->slow) {
            return [];
        }
        if (CarePoint::Cut === $rule->from) {
            $cuts = array_keys(HarvestCurve::shares(Pattern::Cuts, $crop->rhythm));

            return self::within($planting, array_map(static fn (int $after): Day => $planting->ready->plus($after + ($rule->after ?? 0)),
                \array_slice($cuts, 0, -1)));
        }
        $on = null !== $rule->on && $this->garden->place->latitude < 0 ? $rule->on->halfAYearLater() : $rule->on;
        if (null !== $on) {
            return self::within($planting, array_map(static fn (int $year): Day => $on->in($year), range($planting->ground->year(),
                min($planting->clear->year(), $planting->ground->year() + self::MOST_TIMES))));
        }
        $first = null === $rule->after ? $this->shareDay($rule->share, $up, $planting, $ripening) : match ($rule->from) {
            CarePoint::Ground => $planting->ground->plus($rule->after),
            CarePoint::Emergence => $up->plus($rule->after),
            CarePoint::Ready => $planting->ready->plus($rule->after),
        };
        $days = [$first];
        $last = $this->shareDay($rule->until, $up, $planting, $ripening);
        for ($n = 1; null !== $rule->every && $n < self::MOST_TIMES && !$last->isBefore($first->plus($n * $rule->every)); ++$n) {
            $days[] = $first->plus($n * $rule->every);
        }

        return self::within($planting, $rule->isOfGrowingWeeds ? $this->warmEnough($planting, $days) : $days);
    }

    /**
     * @param list<Day> $days
     *
     * @return list<Day> those in weeks warm enough for weeds
     */
    private function warmEnough(Planting $planting, array $days): array
    {
        $timing = $this->garden->timing();
        $weeks = $timing?->twoWeeks(Cover::usualOf($planting->place)) ?? [];
        $first = $timing->weather->first ?? 0;

        return array_values(array_filter($days, static fn (Day $day): bool => ($weeks[$day->number - $first] ?? self::WEEDS_GROW)
            >= self::WEEDS_GROW));
    }

    /**
     * @param list<Day> $days
     *
     * @return list<Day>
     */
    private static function within(Planting $planting, array $days): array
    {
        return array_values(array_filter($days, static fn (Day $day): bool => !$day->isBefore($planting->ground)
            && !$planting->clear->isBefore($day)));
    }

    /** Day a planting is up: as noted, else as reckoned. */
    public function up(Planting $planting): Day
    {
        $crop = $this->book->grown($planting->item, $planting->variety);

        return $this->emergence($crop, $planting, $this->garden->timing()?->of($crop, $this->garden->coversOf($planting)));
    }

    /** Day a sowing is up; what is planted out is up when it is planted. */
    private function emergence(Crop $crop, Planting $planting, ?Ripening $ripening): Day
    {
        foreach ($this->garden->notes as $note) {
            if ($note->planting === $planting->key && Happening::Emerged === $note->what && Method::Sown === $planting->method) {
                return $note->day;
            }
        }
        if (Method::Transplanted === $planting->method) {
            return $planting->ground;
        }
        $up = $ripening?->emerges($planting->ground->number);

        return null !== $up ? Day::of($up) : $planting->ground->plus((int) round($crop->growth->emergence->daysAt(self::USUAL_SOIL)
            ?? 0.0));
    }

    /** Day so much of the way from emergence to the first harvest is made; beyond the harvest by days alone. */
    private function shareDay(float $share, Day $up, Planting $planting, ?Ripening $ripening): Day
    {
        $days = max(1, $planting->ready->since($up));
        $whole = $ripening?->counted($up->number, $planting->ready->number) ?? 0.0;
        if ($share >= 1.0 || null === $ripening || $whole <= 0.0) {
            return $up->plus((int) round($share * $days));
        }
        // Development only grows: the day is found by halving.
        [$day, $last] = [$up->number, $planting->ready->number];
        while ($day < $last) {
            $middle = intdiv($day + $last, 2);
            $ripening->counted($up->number, $middle) < $share * $whole ? $day = $middle + 1 : $last = $middle;
        }

        return Day::of($day);
    }
}
