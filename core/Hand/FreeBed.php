<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;

/** "This bed is free: what now?" Every crop that still makes it there before the next takes the bed, what fills most first. */
final readonly class FreeBed
{
    /** Sowings so many days ahead are looked at. */
    private const AHEAD = 90;
    /** A bed nothing is planned for is taken to be free so long, days. */
    private const FOR_GOOD = 400;
    /** The preparation for a hurry. */
    public const HURRY = 'fast-turn';
    /** So many days later it is sown where its usual preparation is possible then. */
    private const WORTH_WAITING = 7;
    /** Cuts and pickings cut short below this share of their yield are not offered. */
    private const LEAST_SHARE = 0.5;

    private Candidates $candidates;
    private Leads $leads;
    private Ground $ground;
    /** @var array<string, float> */
    private array $values;

    /** @param list<Shortage> $short */
    public function __construct(private Garden $garden, private CropBook $book, private RecipeBook $recipes, private array $short)
    {
        $this->candidates = new Candidates($garden, $recipes);
        $this->leads = new Leads($garden);
        $this->ground = Ground::under($garden, $book, $garden->plantings);
        $this->values = Values::of($garden);
    }

    /** @return list<FreeBedWay> */
    public function ways(BedOutlook $free): array
    {
        $from = $free->from->isBefore($this->garden->today) ? $this->garden->today : $free->from;
        $until = $free->until ?? $from->plus(self::FOR_GOOD);
        $ways = [];
        $bed = $this->garden->bedsByName()[$free->stretch->bed] ?? throw new \OutOfBoundsException('There is no such bed.');
        foreach ($this->book->sold() as $crop) {
            foreach (\in_array($bed->place, $crop->places(), true) ? $crop->methods() : [] as $method) {
                $way = $this->way($crop, $method, $bed, $from, $until, $free->stretch->length()->metres());
                $ways = null === $way ? $ways : [...$ways, $way];
            }
        }
        usort($ways, static fn (FreeBedWay $a, FreeBedWay $b): int => [$b->worth, $a->ready->number, $a->crop->key,
            $a->method->value] <=> [$a->worth, $b->ready->number, $b->crop->key, $b->method->value]);

        return $ways;
    }

    private function way(Crop $crop, Method $method, Bed $bed, Day $from, Day $until, float $metres): ?FreeBedWay
    {
        $first = $last = null;
        for ($sow = $this->garden->today; $sow->since($this->garden->today) < self::AHEAD; $sow = $sow->plus(1)) {
            $candidate = $this->candidates->sownOn($crop, $sow, $bed->place, $method);
            $recipe = null === $candidate || $candidate->ready > $until->number ? null : $this->recipe($candidate, $from);
            if (null === $candidate || null === $recipe || self::share($candidate, $until) < self::LEAST_SHARE
                || !$this->mayStand($bed, $crop, $candidate, $recipe, $until)) {
                continue;
            }
            if (null === $first || ($recipe->key === $candidate->recipe && $first[1]->key !== $first[0]->recipe
                && $candidate->sow - $first[0]->sow <= self::WORTH_WAITING)) {
                $first = [$candidate, $recipe];
            }
            $last = $sow;
        }
        if (null === $first || null === $last) {
            return null;
        }
        [$candidate, $recipe] = $first;
        $units = floor($candidate->perMetre * self::share($candidate, $until) * $metres + 1e-9);
        $fills = $this->fills($candidate, $until, $metres);

        return new FreeBedWay($crop, $method, Day::of($candidate->sow), Day::of($candidate->ground), Day::of($candidate->ready),
            Day::of(min($candidate->lastField, $until->number)), $units, $recipe, $recipe->key !== $candidate->recipe, $last, $fills,
            array_sum($fills) * ($this->values[$crop->item()] ?? 0.0), $candidate,
            Day::of($candidate->ground - $this->leads->days($recipe, Day::of($candidate->ground))));
    }

    /** No rule of the bed keeps it off. */
    private function mayStand(Bed $bed, Crop $crop, Candidate $candidate, Recipe $recipe, Day $until): bool
    {
        $start = $candidate->ground - $this->leads->days($recipe, Day::of($candidate->ground));
        $stay = Stay::ofCandidate($crop, $candidate, $start, min($candidate->lastField, $until->number));

        $isRested = null === $this->ground->restingOn(Stretch::of($bed->name, 0, $bed->length->micrometres), $start);

        return $isRested && $this->ground->mayStand($bed, $stay) && $this->standsUnder($bed, $crop, $candidate);
    }

    /** Nor do the covers over the bed make it come to nothing. */
    private function standsUnder(Bed $bed, Crop $crop, Candidate $candidate): bool
    {
        $over = array_values(array_filter($this->garden->protections, static fn (Protection $p): bool => $p->bed === $bed->name));

        return [] === $over || null === (new Here($this->garden))->never($crop, $candidate->method, $bed->place, Day::of($candidate->sow),
            Day::of($candidate->ground), CoverCalendar::with(Cover::usualOf($bed->place), $over));
    }

    /** The crop's own preparation where there is time for it, else the one for a hurry; null: no time for either. */
    private function recipe(Candidate $candidate, Day $from): ?Recipe
    {
        foreach (array_unique([$candidate->recipe, self::HURRY]) as $key) {
            if ($this->recipes->has($key) && $candidate->ground - $this->leads->days($this->recipes->get($key),
                Day::of($candidate->ground)) >= $from->number) {
                return $this->recipes->get($key);
            }
        }

        return null;
    }

    /** Of the yield that comes before the bed is wanted again. */
    private static function share(Candidate $candidate, Day $until): float
    {
        if ([] === $candidate->curve || $candidate->perMetre <= 0.0) {
            return 1.0;
        }

        return array_sum(array_filter($candidate->curve, static fn (int $day): bool => $day <= $until->number,
            \ARRAY_FILTER_USE_KEY)) / $candidate->perMetre;
    }

    /** @return array<int, int> */
    private function fills(Candidate $candidate, Day $until, float $metres): array
    {
        $lots = [];
        if ([] === $candidate->curve) {
            $lots[] = [$candidate->ready, min($candidate->lastField, $until->number), floor($candidate->perMetre * $metres + 1e-9)];
        }
        foreach ($candidate->curve as $day => $perMetre) {
            if ($day <= $until->number) {
                $lots[] = [$day, $day, floor($perMetre * $metres + 1e-9)];
            }
        }
        $short = array_filter($this->short, static fn (Shortage $s): bool => $s->item === $candidate->item);
        usort($short, static fn (Shortage $a, Shortage $b): int => $a->day->number <=> $b->day->number);
        $fills = [];
        foreach ($short as $one) {
            $wanted = $one->units;
            foreach ($lots as $i => [$first, $last, $units]) {
                if ($first <= $one->day->number && $one->day->number - $last <= $one->reach && $wanted > 0) {
                    $take = (int) min($wanted, $units);
                    $lots[$i][2] -= $take;
                    $wanted -= $take;
                }
            }
            if ($wanted < $one->units) {
                $fills[$one->day->number] = ($fills[$one->day->number] ?? 0) + $one->units - $wanted;
            }
        }

        return $fills;
    }
}
