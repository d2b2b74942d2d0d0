<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Maturity\CoverCare;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Record\FieldNote;
use JollyFurrow\Record\Happening;
use JollyFurrow\Time\Day;

/**
 * Care of what stands and of what is planned, dated from its true development: emergence and the way to the harvest by
 * warmth and light where the climate is known, by catalogue days elsewhere. An emergence that was noted beats the model.
 */
final readonly class CareCalendar
{
    /** Soil at which emergence is taken where no climate is known, degrees C. */
    private const USUAL_SOIL = 15.0;
    private const MOST_TIMES = 40;

    /** @param list<CareRule> $rules */
    public function __construct(private Garden $garden, private CropBook $book, private array $rules)
    {
    }

    /** @return list<CareStep> from one day to another, both within, by day and bed */
    public function between(Day $from, Day $until): array
    {
        $steps = array_merge([], ...array_map($this->of(...), array_values(array_filter($this->garden->plantings, fn (Planting $p): bool => !$p->isOver($this->garden->today)))));
        $steps = array_values(array_filter($steps, static fn (CareStep $s): bool => !$s->day->isBefore($from) && !$until->isBefore($s->day)));
        usort($steps, static fn (CareStep $a, CareStep $b): int => [$a->day->number, $a->planting->pieces[0]->bed, $a->name] <=> [$b->day->number, $b->planting->pieces[0]->bed, $b->name]);

        return $steps;
    }

    /** @return list<CareStep> all care of one planting, by day */
    public function of(Planting $planting): array
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $steps = [];
        foreach ($this->rules as $rule) {
            foreach ($rule->isFor($crop, $planting->method) ? $this->days($rule, $crop, $planting) : [] as $day) {
                $steps[] = new CareStep($planting, $rule->name, $day, $rule->hoursPer100Metres * $planting->length()->metres() / 100, $rule->tool);
            }
        }
        foreach ($this->garden->protections as $protection) {
            $care = $protection->isOver($planting->key, array_map(static fn ($piece): string => $piece->bed, $planting->pieces)) ? CoverCare::of($this->garden, $planting, $crop, $protection) : null;
            if (null !== $care?->flowering) {
                $steps[] = new CareStep($planting, 'Take the cover off for the bees', $care->flowering, 0.0, 'hands');
            }
        }
        usort($steps, static fn (CareStep $a, CareStep $b): int => [$a->day->number, $a->name] <=> [$b->day->number, $b->name]);

        return $steps;
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

            return self::within($planting, array_map(static fn (int $after): Day => $planting->ready->plus($after + ($rule->after ?? 0)), \array_slice($cuts, 0, -1)));
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

        return self::within($planting, $days);
    }

    /**
     * @param list<Day> $days
     *
     * @return list<Day>
     */
    private static function within(Planting $planting, array $days): array
    {
        return array_values(array_filter($days, static fn (Day $day): bool => !$day->isBefore($planting->ground) && !$planting->clear->isBefore($day)));
    }

    /** Day a sowing is up; what is planted out is up when it is planted. */
    private function emergence(Crop $crop, Planting $planting, ?Ripening $ripening): Day
    {
        foreach ($this->garden->notes as $note) {
            if ($note->planting === $planting->key && Happening::Emerged === $note->what && Method::Sown === $planting->method) {
                return self::noted($note);
            }
        }
        if (Method::Transplanted === $planting->method) {
            return $planting->ground;
        }
        $up = $ripening?->emerges($planting->ground->number);

        return null !== $up ? Day::of($up) : $planting->ground->plus((int) round($crop->growth->emergence->daysAt(self::USUAL_SOIL) ?? 0.0));
    }

    private static function noted(FieldNote $note): Day
    {
        return $note->day;
    }

    /** Day so much of the way from emergence to the first harvest is made; beyond the harvest by days alone. */
    private function shareDay(float $share, Day $up, Planting $planting, ?Ripening $ripening): Day
    {
        $days = max(1, $planting->ready->since($up));
        $whole = $ripening?->counted($up->number, $planting->ready->number) ?? 0.0;
        if ($share >= 1.0 || null === $ripening || $whole <= 0.0) {
            return $up->plus((int) round($share * $days));
        }
        for ($day = $up->number; $ripening->counted($up->number, $day) < $share * $whole && $day < $planting->ready->number; ++$day) {
        }

        return Day::of($day);
    }
}
