<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Planting\Plantings;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;

/**
 * Plans forward: one crop sown again every so many days, each time the same length, on the first of some beds that is
 * free for it. No promise is needed. The family gap is kept where it can be.
 */
final readonly class ByRhythm
{
    /** So many sowings at most, whatever is asked. */
    public const MOST = 60;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /**
     * @param list<Bed> $beds        in the order they are tried
     * @param int       $micrometres of each sowing
     * @param float     $share       instead of a length: share of each bed's own length; 0: the length counts
     */
    public function plan(Garden $garden, Crop $crop, Method $method, array $beds, Day $from, Day $until, int $every, int $micrometres,
        float $share = 0.0): RhythmPlan
    {
        $choice = BedChoice::under($garden, $this->book, $this->recipes, $garden->plantings);
        $all = $garden->plantings;
        $made = $skipped = [];
        for ($sow = $from, $n = 0; !$until->isBefore($sow) && $n < self::MOST; $sow = $sow->plus(max(1, $every)), ++$n) {
            $planting = $this->one($garden, $choice, $crop, $method, $beds, $sow, $all, $micrometres, $share);
            if (!$planting instanceof Planting) {
                $skipped[] = new SkippedSowing($sow, $planting);
                continue;
            }
            $made[] = $planting;
            $all = $all->with($planting);
            $choice->take($planting);
        }

        return new RhythmPlan($made, $skipped);
    }

    /**
     * On the first bed that keeps the family gap, else on the first there is.
     *
     * @param list<Bed> $beds
     *
     * @return Planting|Skipped why not
     */
    private function one(Garden $garden, BedChoice $choice, Crop $crop, Method $method, array $beds, Day $sow, Plantings $all,
        int $micrometres, float $share): Planting|Skipped
    {
        $candidates = new Candidates($garden, $this->recipes);
        $key = PlantingKey::free($crop->item(), $sow, $all->byKey());
        $ways = [];
        $fallback = null;
        foreach ($beds as $bed) {
            $way = $ways[$bed->place->value] ??= $candidates->sownOn($crop, $sow, $bed->place, $method) ?? false;
            if (false === $way || $way->bedStart < $garden->today->number) {
                continue;
            }
            $offer = $choice->on($bed, $way, $share > 0.0 ? (int) round($bed->length->micrometres * $share) : $micrometres,
                $way->lastField);
            $planting = [] === $offer->pieces ? null : $way->planting($key, $offer->pieces, $offer->recipe, $offer->start,
                remarks: $offer->remarks(), locked: true);
            if (null !== $planting && !$offer->bends(Rule::FamilyTooSoon)) {
                return $planting;
            }
            $fallback ??= $planting;
        }
        $open = array_filter($ways, static fn (Candidate|false $way): bool => false !== $way);

        return $fallback ?? match (true) {
            [] === $open => Skipped::OutOfSeason,
            [] === array_filter($open,
                static fn (Candidate $way): bool => $way->bedStart >= $garden->today->number) => Skipped::NoTimeForTheBed,
            default => Skipped::NoBed,
        };
    }
}
