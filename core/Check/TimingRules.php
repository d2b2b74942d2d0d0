<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** Whether a newly drawn planting can be grown so: crop, method, recipe and every date by the crop book. */
final readonly class TimingRules
{
    /** An unheated tunnel keeps tender crops so many days beyond the first frost (the planner's stated default). */
    /** Heat and light make days up to so much shorter (or, in the nursery, longer) than the catalogue's. */
    private const SLACK = 2.0;
    private const WET_RESERVE = 14;
    /** Tough-rooted weeds want the first step sooner. */
    private const TOUGH_WEEDS = 14;
    /** In the cold a crop holds so many times as long. */
    private const COLD_HOLD = 5;
    private const PICKED_UNITS_TOLERANCE = 0.0001;

    /** Share of years that may go wrong, as the garden file names it. */
    private const ODDS = ['one-year-in-five' => 0.2, 'every-second-year' => 0.5];
    private const ONE_IN_TEN = 0.1;
    /** The checker's own sums and the planner's may lie so far apart: days, degrees C, odds. */
    private const DAYS_APART = 3;
    private const HARDLY_GROWN = 1.5;
    private const DEGREES_APART = 0.6;
    private const ODDS_APART = 0.05;
    /** A harvest ends when it is as likely as not that it froze; a little over is the days' grain. */
    private const MOST_ODDS = 0.6;

    private int $today;
    private OwnSums $own;

    public function __construct(private Sheet $garden, private CropBook $book, private RecipeBook $recipes)
    {
        $this->today = $garden->day('today') ?? 0;
        $this->own = new OwnSums($garden);
    }

    /** @return list<Fault> */
    public function faults(Sheet $planting): array
    {
        $key = $planting->text('key');
        $days = array_map($planting->day(...), ['sow' => 'sow', 'ground' => 'ground', 'bed_start' => 'bed_start', 'ready' => 'ready',
            'clear' => 'clear']);
        $broken = match (true) {
            !$this->book->has($planting->text('item')) => [[FaultKind::NoSuchCrop, \sprintf('"%s" is not in the crop book.',
                $planting->text('item'))]],
            !$this->recipes->has($planting->text('recipe')) => [[FaultKind::NoSuchRecipe, \sprintf('"%s" is no preparation recipe.',
                $planting->text('recipe'))]],
            \in_array(null, $days, true) => [[FaultKind::NoSuchDay, 'One of its dates is not in the calendar.']],
            !$this->isOfTheItem($planting) => [[FaultKind::NoSuchCrop, \sprintf('"%s" is no variety of %s.', $planting->text('variety'),
                $planting->text('item'))]],
            default => $this->broken($planting, $this->book->get($this->variety($planting)), array_map(intval(...), $days)),
        };

        return array_map(static fn (array $one): Fault => new Fault($one[0], $key, $one[1]), $broken);
    }

    /**
     * @param array{sow: int, ground: int, bed_start: int, ready: int, clear: int} $days
     *
     * @return list<array{FaultKind, string}>
     */
    private function broken(Sheet $planting, Crop $crop, array $days): array
    {
        $isTimed = 'heat-and-light' === $this->garden->part('climate')->text('timed_by');
        $slack = $isTimed ? self::SLACK : 1.0;
        $sown = 'sown' === $planting->text('method');
        $catalogue = $sown ? $crop->timing->daysSown : $crop->timing->daysTransplanted;
        $isOneOfTwo = \in_array($planting->text('method'), ['sown', 'transplanted'], true);
        if (null === $catalogue || Pattern::Perennial === $crop->pattern || !$isOneOfTwo) {
            return [[FaultKind::WrongMethod, 'The crop is not grown like that.']];
        }
        $stock = Pattern::Once === $crop->pattern || Pattern::DigAsNeeded === $crop->pattern;
        $nursery = $sown ? 0 : $crop->timing->nurseryDays;
        [$leastLead, $mostLead] = $this->lead($planting, Day::of($days['ground']), $isTimed);
        $lead = $days['ground'] - $days['bed_start'];
        $recipes = $this->recipes($planting, $crop);
        $place = PlaceType::tryFrom($planting->text('place'));
        $own = $place instanceof PlaceType && $this->isCounted($crop) ? $this->own->ready($crop, $sown, $place, $days['ground']) : null;
        $ready = $days['ground'] + $catalogue + ($stock ? intdiv($crop->timing->spread, 2) : 0);
        $last = $days['ready'] + ($stock ? $crop->timing->hold * ($isTimed ? self::COLD_HOLD : 1) : $this->lastPicking($crop));
        if (!$stock && $isTimed && $place instanceof PlaceType) {
            $last = ($this->own->after($crop, $place, $days['ready'], (float) $this->lastPicking($crop))
                ?? \PHP_INT_MAX - 9) + self::DAYS_APART;
        }
        $rules = [
            ...$this->inTheCalendar($days),
            [FaultKind::OutOfSeason, $place instanceof PlaceType && $this->isItsSeason($crop, $place, $days, $sown, $own),
                'The place does not let the crop go into the ground at that time of the year.'],
            [FaultKind::WrongNursery, abs($days['ground'] - $days['sow'] - $nursery) <= $nursery * ($slack - 1),
                \sprintf('%d days in the nursery, the crop takes %d.', $days['ground'] - $days['sow'], $nursery)],
            [FaultKind::WrongRecipe, \in_array($planting->text('recipe'), $recipes, true), \sprintf('The bed is to be made by "%s".',
                implode('" or "', $recipes))],
            [FaultKind::BedNotReady, $lead >= $leastLead && $lead <= $mostLead,
                \sprintf('The recipe takes %d days then, the bed is taken %d days before.', $leastLead, $lead)],
            [FaultKind::WrongReady, $isTimed ? $this->isReadyThen($crop, $place, $days, $ready, $own) : $days['ready'] === $ready,
                \sprintf('Ready on %s by the crop book.', Day::of($isTimed ? $own ?? $ready : $ready)->iso())],
            [FaultKind::PastItsHold, $days['clear'] <= $last, \sprintf('It stands fit until %s at most.', Day::of($last)->iso())],
            [FaultKind::Frosted, !$place instanceof PlaceType || $this->lives($crop, $place, $days),
                    'Frost usually ends it before.'],
            [FaultKind::WrongYield, self::isItsYield($planting->number('per_metre') / $this->widthTimes($planting, $crop), $crop, $isTimed),
                \sprintf('The crop book says %s units a metre.', $crop->produce->perMetre)],
        ];

        return self::unkept($rules);
    }

    /**
     * @param array{sow: int, ground: int, bed_start: int, ready: int, clear: int} $days
     *
     * @return list<array{FaultKind, bool, string}>
     */
    private function inTheCalendar(array $days): array
    {
        $isInOrder = max($days['sow'], $days['bed_start']) <= $days['ground'] && $days['ground'] <= $days['ready']
            && $days['ready'] <= $days['clear'];
        $sowingDays = $this->garden->part('settings')->texts('sowing_days');

        return [
            [FaultKind::DatesOutOfOrder, $isInOrder, 'Sowing and bed come before the ground, then ready, then cleared.'],
            [FaultKind::InThePast, min($days['sow'], $days['bed_start']) >= $this->today,
                'Its work would begin before the day of the plan.'],
            [FaultKind::NoSowingDay, \in_array(Day::of($days['sow'])->weekday()->name, $sowingDays, true),
                'The garden does not sow on that day of the week.'],
        ];
    }

    /**
     * @param list<array{FaultKind, bool, string}> $rules with whether each is kept
     *
     * @return list<array{FaultKind, string}>
     */
    private static function unkept(array $rules): array
    {
        $broken = array_filter($rules, static fn (array $rule): bool => !$rule[1]);

        return array_values(array_map(static fn (array $rule): array => [$rule[0], $rule[2]], $broken));
    }

    /**
     * Least and most days of its recipe for that time of the year; up to a fortnight more is in hand where the rain is known.
     *
     * @return array{int, int}
     */
    private function lead(Sheet $planting, Day $ground, bool $isTimed): array
    {
        $month = $ground->month() + ($this->garden->part('place')->number('latitude') < 0 ? 6 : 0);
        $date = (($month - 1) % 12 + 1) + $ground->dayOfMonth() / 100;
        $longest = 0;
        foreach ($this->recipes->get($planting->text('recipe'))->steps as $step) {
            $spring = $step->leadSpring ?? $step->leadDays;
            $longest = max($longest, $date >= 11.01 || $date < 3.16 ? $step->leadCold ?? $spring : ($date < 5.16 ? $spring
                : $step->leadDays));
        }

        $tough = [] === array_filter($this->beds($planting),
            static fn (Sheet $bed): bool => 'tough' === $bed->part('temper')->text('weeds')) ? 0 : self::TOUGH_WEEDS;

        return [$longest + $tough, $longest + $tough + ($isTimed ? self::WET_RESERVE : 0)];
    }

    private function variety(Sheet $planting): string
    {
        return $planting->has('variety') ? $planting->text('variety') : $planting->text('item');
    }

    private function isOfTheItem(Sheet $planting): bool
    {
        return $this->book->has($this->variety($planting))
            && $this->book->get($this->variety($planting))->item() === $planting->text('item');
    }

    /** @return list<string> the crop's own recipe; else that of its blocks, or the garden's */
    private function recipes(Sheet $planting, Crop $crop): array
    {
        if ('' !== $crop->recipe && $this->recipes->has($crop->recipe)) {
            return [$crop->recipe];
        }
        $settings = $this->garden->part('settings');
        $byBlock = [];
        foreach ($settings->part('plan_rules')->parts('blocks') as $block) {
            $byBlock[$block->text('block')] = $block->text('recipe');
        }

        return array_values(array_unique(array_map(static fn (Sheet $bed): string => '' === ($byBlock[$bed->text('block')] ?? '')
            ? $settings->text('recipe') : $byBlock[$bed->text('block')], $this->beds($planting)))) ?: [$settings->text('recipe')];
    }

    /** @return list<Sheet> those it stands on */
    private function beds(Sheet $planting): array
    {
        $names = array_map(static fn (Sheet $piece): string => $piece->text('bed'), $planting->parts('pieces'));

        return array_values(array_filter($this->garden->parts('beds'), static fn (Sheet $bed): bool => \in_array($bed->text('name'),
            $names, true)));
    }

    private function lastPicking(Crop $crop): int
    {
        return Pattern::Cuts === $crop->pattern ? max(0, $crop->rhythm->cuts - 1) * $crop->rhythm->every
            : intdiv(max(0, $crop->rhythm->lasts - 1), max(1, $crop->rhythm->every)) * $crop->rhythm->every;
    }

    /** A wider bed holds more rows than the book's of 75 cm; one row stays one. */
    private function widthTimes(Sheet $planting, Crop $crop): float
    {
        $beds = array_values(array_filter($this->garden->parts('beds'), static fn (Sheet $bed): bool => $bed->text('place')
            === $planting->text('place')));
        $widths = array_map(static fn (Sheet $bed): float => $bed->number('width_mm'), $beds);
        $width = [] === $widths ? 750.0 : $widths[0];
        $rows = $crop->stand->rows;

        return 1 === $rows || 750.0 === $width ? 1.0 : max(1.0, floor(($width - 150) * 1000 / floor(600_000 / ($rows - 1))) + 1) / $rows;
    }

    /** As the book says; bulbs planted late stay smaller. */
    private static function isItsYield(float $perMetre, Crop $crop, bool $isTimed): bool
    {
        $book = $crop->produce->perMetre;
        $isSmaller = $isTimed && null !== $crop->growth->bulbHours && $perMetre > 0.0 && $perMetre < $book;

        return $isSmaller || abs($perMetre - $book) < self::PICKED_UNITS_TOLERANCE;
    }

    /** What its own sums are counted for: not bulbs, nor what follows the year. */
    private function isCounted(Crop $crop): bool
    {
        return !$crop->growth->anchored && null === $crop->growth->bulbHours;
    }

    /**
     * Within some days, or, in the dark of the year, within what hardly grows.
     *
     * @param array{sow: int, ground: int, bed_start: int, ready: int, clear: int} $days
     */
    private function isReadyThen(Crop $crop, ?PlaceType $place, array $days, int $catalogue, ?int $own): bool
    {
        if (null === $own || null === $place) {
            return $days['ready'] - $days['ground'] >= ($catalogue - $days['ground']) / self::SLACK;
        }

        return abs($days['ready'] - $own) <= self::DAYS_APART
            || $this->own->grown($crop, $place, min($own, $days['ready']), max($own, $days['ready'])) <= self::HARDLY_GROWN;
    }

    /**
     * The soil is as warm as it wants, it gets ready, and it is not likelier to freeze before than the garden bears.
     *
     * @param array{sow: int, ground: int, bed_start: int, ready: int, clear: int} $days
     */
    private function isItsSeason(Crop $crop, PlaceType $place, array $days, bool $sown, ?int $own): bool
    {
        $soil = $this->own->soil($place, $days['ground']);
        $odds = self::ODDS[$this->garden->part('settings')->part('plan_rules')->text('odds')] ?? self::ONE_IN_TEN;
        $up = $this->own->up($crop, $sown, $place, $days['ground']) ?? $days['ground'];

        return $soil >= $crop->limits->soilLeast - self::DEGREES_APART && $soil <= $crop->limits->soilMost + self::DEGREES_APART
            && (!$this->isCounted($crop) || null !== $own)
            && ($crop->limits->cold->comesAgain || null !== $crop->limits->cold->youngKill
                || $this->own->killed($crop, $place, $up, $own ?? $days['ready']) <= $odds + self::ODDS_APART);
    }

    /**
     * It is not as good as certain that frost has killed it before its bed is cleared.
     *
     * @param array{sow: int, ground: int, bed_start: int, ready: int, clear: int} $days
     */
    private function lives(Crop $crop, PlaceType $place, array $days): bool
    {
        return !$crop->tender || $this->own->killed($crop, $place, $days['ready'], $days['clear']) <= self::MOST_ODDS;
    }
}
