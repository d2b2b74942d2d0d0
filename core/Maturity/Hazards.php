<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Growth\Chill;
use JollyFurrow\Growth\Cold;
use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Growth\Heat;
use JollyFurrow\Growth\Limits;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Time\Day;

/** What soil, frost, heat, long days and winter do to one crop at one place: what ends it, and what stands against it. */
final class Hazards
{
    /** A harvest ends when it is as likely as not that frost has spoiled it: minus the logarithm of a half. */
    private const EVEN_ODDS = 0.6931;
    /** Odds of frost that leave nothing to hope for. */
    private const CERTAIN = 0.9;
    /** Tubers show their tops after this share of their days. */
    private const TOPS_UP = 0.2;
    /** Tender seed that is not up by then has rotted, days (common practice, no source). */
    private const ROTS_AFTER = 30;
    /** Roots are not lifted out of soil colder than this, degrees C. */
    private const LIFTED_ABOVE = 1.5;
    /** What is cut again and again stands so many reference days beyond its last cut. */
    private const AFTER_LAST_CUT = 6;
    /** Autumn's cool ends a warm crop, not the last cool days of spring it stood through. Days. */
    private const STOOD = 20;
    /** Without a window of its own heat is felt in this last share of its days. */
    private const LAST = 0.35;
    private readonly Limits $limits;
    private readonly int $first;
    /** @var array<string, list<float>> */
    private array $sums = [];
    /** @var array<int, int|null>|null */
    private ?array $coolFrom = null;

    /** @param list<float> $development */
    public function __construct(private readonly Crop $crop, private readonly LocalTiming $timing,
        private readonly CoverCalendar $cover, private readonly array $development)
    {
        $this->limits = $crop->limits;
        $this->first = $timing->weather->first;
    }

    /** What the soil of that day says against sowing or setting out. */
    public function ground(int $ground, Method $method): ?Message
    {
        $soil = $this->timing->soilOn($ground, $this->cover);
        if (null === $soil) {
            return Message::of(Against::NotReadyInTime);
        }
        if ($soil < $this->limits->soilLeast) {
            return Message::of(Against::ColdSoil, soil: self::degrees($soil), least: self::degrees($this->limits->soilLeast));
        }

        return $soil <= $this->limits->soilMost ? null
            : Message::of(Against::HotSoil, soil: self::degrees($soil), most: self::degrees($this->limits->soilMost));
    }

    /** What becomes of seed in that soil. */
    public function seed(int $ground, int $emerges): ?Message
    {
        $share = $this->germinates($ground);
        if (null !== $this->limits->germination && $share < $this->limits->germination->least) {
            return Message::of(Against::FewGerminate, share: Quantity::of($share, Unit::Share),
                soil: self::degrees($this->timing->soilOn($ground, $this->cover) ?? 0.0));
        }

        return $this->crop->tender && $emerges - $ground > self::ROTS_AFTER ? Message::of(Against::SeedMayRot) : null;
    }

    /** Share of seeds that germinate in that soil, of those that would in the best. */
    public function germinates(int $ground): float
    {
        $soil = null === $this->limits->germination ? null
            : $this->timing->soilAt($ground, $this->cover, $this->crop->stand->depth->centimetres());

        return null === $soil || null === $this->limits->germination ? 1.0 : $this->limits->germination->over($soil);
    }

    public function ripeness(Course $course, ?Bulb $bulb, ?Message $never): Ripeness
    {
        [$ends, $endedBy] = $this->ends($course);
        $aged = GrowthSums::reached($this->ageing(), $this->first, $course->ready, (float) $this->harvestLasts()) ?? $course->ready;
        $aged = $this->crop->pattern->isStock() ? max($aged, $course->until ?? 0) : $aged;
        $last = max(min($aged, $ends), min($course->ready, $ends));
        $first = $this->firstFit($course);
        $frozen = $this->frozen($course);
        $hot = $this->hotShare($course, null !== $bulb);

        return new Ripeness($course->sow, $course->emerges, $course->ground, $course->ready, $last, $bulb->size ?? 1.0, $first,
            $aged <= $ends ? EndedBy::Age : $endedBy, $ends, $frozen, $hot, $this->pickings($first, $last),
            $this->germinates($course->ground), $never ?? $this->never($course, $bulb, $frozen, $ends, $endedBy));
    }

    /**
     * @return list<int> days of a harvest on which it can be taken
     */
    public function harvestDays(Ripeness $ripe): array
    {
        $days = [];
        for ($day = $ripe->first; $day < $ripe->lastGood; ++$day) {
            if (!$this->isPaused($day) && !$this->isFrozenIn($day)) {
                $days[] = $day;
            }
        }

        return $days;
    }

    /** Share of a picking that the heat of its days leaves; none while harvest stands still. */
    public function leftByHeat(int $day): float
    {
        $heat = $this->limits->heat;

        return null === $heat ? 1.0 : ($this->isPaused($day) ? 0.0 : 1.0 - $heat->loss($this->hotOn($day - $heat->lag)));
    }

    /** Reference days it can be harvested, or stands fit. */
    private function harvestLasts(): int
    {
        $rhythm = $this->crop->rhythm;

        return match ($this->crop->pattern) {
            Pattern::Picking, Pattern::Perennial => $rhythm->lasts,
            Pattern::Cuts => max($this->crop->timing->hold, ($rhythm->cuts - 1) * $rhythm->every + self::AFTER_LAST_CUT),
            default => $this->crop->timing->hold,
        };
    }

    private function never(Course $course, ?Bulb $bulb, float $frozen, int $ends, EndedBy $endedBy): ?Message
    {
        return match (true) {
            null !== $bulb && $bulb->bolts => Message::of(Against::BoltsFromCold, day: Day::of($bulb->begins)),
            EndedBy::Bolting === $endedBy && $ends <= $course->ready => Message::of(null === $this->limits->longDays
                ? Against::BoltsFromCold : Against::BoltsFromLongDays, day: Day::of($ends)),
            EndedBy::Cool === $endedBy && $ends <= $course->ready => Message::of(Against::TooCool, ready: Day::of($course->ready),
                mean: self::degrees($this->limits->cool ?? 0.0)),
            $frozen > $this->timing->odds => $this->freezes($frozen, Day::of($course->ready)),
            null !== $this->limits->heat?->pause && $this->isPausedAllTime($course->ready, $ends) => Message::of(Against::TooHot),
            default => null,
        };
    }

    /** What overwinters is helped by a hardier variety, all else by an earlier day. */
    private function freezes(float $frozen, Day $ready): Message
    {
        [$certain, $likely] = $this->crop->growth->anchored ? [Against::WinterKills, Against::WinterFrost]
            : [Against::FrostFirst, Against::Frost];

        return $frozen > self::CERTAIN ? Message::of($certain, ready: $ready)
            : Message::of($likely, odds: Quantity::of($frozen, Unit::Share), ready: $ready);
    }

    /** Odds that frost has killed it, or spoiled what it bears, before it is ready. */
    private function frozen(Course $course): float
    {
        $cold = $this->limits->cold;
        $kill = $this->timing->living($cold->kill, $this->cover);
        $from = $course->stage;
        $danger = match (true) {
            $this->crop->growth->anchored => $this->between($kill, $from, $course->ready),
            $cold->comesAgain => Cold::COMES_AGAIN_ODDS * $this->between($kill, $this->at($course, self::TOPS_UP),
                $this->at($course, Cold::COMES_AGAIN_UNTIL)) + $this->between($kill, $this->at($course, Cold::COMES_AGAIN_UNTIL),
                    $this->at($course, Cold::TOPS_UNTIL)),
            null !== $cold->youngKill => $this->between($this->timing->spared($cold->youngKill, $this->cover), $from,
                $this->at($course, Cold::YOUNG_UNTIL)) + $this->between($kill, $this->at($course, Cold::YOUNG_UNTIL), $course->ready),
            null !== $cold->hurt && null !== $cold->hurtFrom => $this->between($kill, $from, $this->at($course, $cold->hurtFrom))
                + $this->between($this->timing->spared($cold->hurt, $this->cover), $this->at($course, $cold->hurtFrom), $course->ready),
            default => $this->between($kill, $from, $course->ready),
        };

        return 1 - exp(-$danger);
    }

    /** @return array{int, EndedBy} the day weather ends it, and what of the weather */
    private function ends(Course $course): array
    {
        $ends = [\PHP_INT_MAX, EndedBy::Age];
        foreach ([[$this->frozenBy($course->ready, self::EVEN_ODDS), EndedBy::Frost],
            [$this->bolts($course), EndedBy::Bolting], [$this->tooCool($course), EndedBy::Cool]] as [$day, $by]) {
            $ends = null !== $day && $day < $ends[0] ? [$day, $by] : $ends;
        }

        return $ends;
    }

    /** The day by which frost has spoiled what is sound on another, at odds: minus the logarithm of the share of years it lives. */
    public function frozenBy(int $from, float $odds): ?int
    {
        $cold = $this->limits->cold;

        return GrowthSums::reached(null === $cold->hurt ? $this->timing->living($cold->kill, $this->cover)
            : $this->timing->spared($cold->hurt, $this->cover), $this->first, $from, $odds);
    }

    private function bolts(Course $course): ?int
    {
        if ($this->crop->growth->anchored) {
            return null;
        }
        if (null !== $this->limits->longDays) {
            return GrowthSums::reached($this->timing->longDays($this->limits->longDays, $this->cover), $this->first, $course->stage,
                $this->limits->longDays->sum);
        }
        $chill = $this->limits->chill;
        $chilled = null === $chill ? null : GrowthSums::reached($this->timing->chill($this->cover), $this->first,
            $this->at($course, Chill::COUNTS_FROM), $chill->days);
        if (null === $chill || null === $chilled) {
            return null;
        }
        $sun = $this->timing->sun;
        $from = $sun->isEven() || $sun->isRising($chilled) ? $chilled : $sun->midwinterFrom($chilled);

        return GrowthSums::reached($this->timing->towardsSeed($this->cover), $this->first, $from, $chill->warmth);
    }

    /** The day on which two weeks have become too cool for it, after it has stood a while. */
    private function tooCool(Course $course): ?int
    {
        $cool = $this->limits->cool;
        if (null === $cool) {
            return null;
        }

        return $this->coolFrom($cool)[max(1, $course->stage + self::STOOD - $this->first)] ?? null;
    }

    /**
     * By entry the first day from there on whose two weeks are as cool as that and cooling.
     *
     * @return array<int, int|null>
     */
    private function coolFrom(float $cool): array
    {
        if (null === $this->coolFrom) {
            $this->coolFrom = [];
            $next = null;
            for ($i = $this->timing->weather->days() - 1; $i > 0; --$i) {
                $weeks = $this->timing->twoWeeks([] === $this->cover->spans ? $this->cover->base : $this->cover->at($this->first + $i));
                $next = $weeks[$i] < $cool && $weeks[$i] < $weeks[$i - 1] ? $this->first + $i : $next;
                $this->coolFrom[$i] = $next;
            }
        }

        return $this->coolFrom;
    }

    private function firstFit(Course $course): int
    {
        return $this->limits->firstFit < 1.0 && !$this->crop->growth->anchored && null === $this->crop->growth->bulbHours
            ? $this->at($course, $this->limits->firstFit) : $course->fit;
    }

    /** Share of days too hot for it while heat matters. */
    private function hotShare(Course $course, bool $isBulb): float
    {
        $heat = $this->limits->heat;
        if (null === $heat || $this->crop->growth->anchored) {
            return 0.0;
        }
        $from = $isBulb ? $course->ready - (int) (self::LAST * ($course->ready - $course->stage)) : $this->at($course, $heat->from);
        $to = $isBulb ? $course->ready : $this->at($course, $heat->to);

        return $this->between($this->hot($heat), $from - $heat->lag, $to - $heat->lag) / max(1, $to - $from);
    }

    private function hotOn(int $day): float
    {
        return null === $this->limits->heat ? 0.0 : $this->between($this->hot($this->limits->heat), $day, $day + 1);
    }

    private function isPaused(int $day): bool
    {
        $heat = $this->limits->heat;

        return null !== $heat && null !== $heat->pause && $this->hotOn($day - $heat->lag) > $heat->pause;
    }

    private function isPausedAllTime(int $ready, int $ends): bool
    {
        $aged = GrowthSums::reached($this->ageing(), $this->first, $ready, (float) $this->harvestLasts()) ?? $ready;
        for ($day = $ready, $last = min($aged, $ends); $day < $last; ++$day) {
            if (!$this->isPaused($day)) {
                return false;
            }
        }

        return true;
    }

    /** A root in frozen soil is not lifted. */
    private function isFrozenIn(int $day): bool
    {
        return 'root' === $this->crop->habits->rotation && $this->crop->pattern->isStock()
            && ($this->timing->soilOn($day, $this->cover) ?? 0.0) < self::LIFTED_ABOVE;
    }

    /** Harvest days as ageing counts them, each less what heat costs it. */
    private function pickings(int $first, int $last): float
    {
        return 0.0 === $this->limits->pick ? 1.0 : $this->between($this->sums['worth'] ??= $this->worth(), $first, $last);
    }

    /** @return list<float> */
    private function worth(): array
    {
        $ageing = $this->ageing();
        $sums = [0.0];
        $sum = 0.0;
        for ($i = 1, $n = \count($ageing); $i < $n; ++$i) {
            $sums[] = $sum += ($ageing[$i] - $ageing[$i - 1]) * $this->leftByHeat($this->first + $i - 1);
        }

        return $sums;
    }

    /** @return list<float> */
    private function hot(Heat $heat): array
    {
        return $this->sums['hot'] ??= $this->timing->hot($heat, $this->cover);
    }

    /** @return list<float> */
    private function ageing(): array
    {
        return $this->sums['ageing'] ??= $this->timing->ageing($this->crop->growth, $this->cover);
    }

    /** The day that share of its reference days is done. */
    private function at(Course $course, float $share): int
    {
        return GrowthSums::reached($this->development, $this->first, $course->stage, $share * $course->toCome) ?? $course->ready;
    }

    /** @param list<float> $sums */
    private function between(array $sums, int $from, int $until): float
    {
        $last = \count($sums) - 1;
        $from = max(0, min($last, $from - $this->first));

        return $sums[max($from, min($last, $until - $this->first))] - $sums[$from];
    }

    private static function degrees(float $celsius): Quantity
    {
        return Quantity::of(round($celsius, 1), Unit::Celsius);
    }
}
