<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\FamilyGap;
use JollyFurrow\Beds\FreeStretches;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
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
     * @param int       $millimetres of each sowing
     * @param float     $share       instead of a length: share of each bed's own length; 0: the length counts
     *
     * @return array{plantings: list<Planting>, skipped: list<array{day: Day, why: string}>}
     */
    public function plan(Garden $garden, Crop $crop, Method $method, array $beds, Day $from, Day $until, int $every, int $millimetres, float $share = 0.0): array
    {
        $gap = new FamilyGap($garden, $this->book);
        foreach ($garden->plantings as $planting) {
            foreach ($planting->pieces as $piece) {
                $gap->stood($piece, $planting->item, $planting->occupancy());
            }
        }
        $all = $garden->plantings;
        $made = $skipped = [];
        for ($sow = $from, $n = 0; !$until->isBefore($sow) && $n < self::MOST; $sow = $sow->plus(max(1, $every)), ++$n) {
            $planting = $this->one($garden, $crop, $method, $beds, $sow, $all, $gap, $millimetres, $share);
            if (\is_string($planting)) {
                $skipped[] = ['day' => $sow, 'why' => $planting];
                continue;
            }
            $made[] = $all[] = $planting;
            $gap->stood($planting->pieces[0], $planting->item, $planting->occupancy());
        }

        return ['plantings' => $made, 'skipped' => $skipped];
    }

    /**
     * @param list<Bed>      $beds
     * @param list<Planting> $all
     *
     * @return Planting|string why not
     */
    private function one(Garden $garden, Crop $crop, Method $method, array $beds, Day $sow, array $all, FamilyGap $gap, int $millimetres, float $share): Planting|string
    {
        $candidates = new Candidates($garden, $this->recipes);
        $byPlace = [];
        $fallback = null;
        foreach ($beds as $bed) {
            $way = $byPlace[$bed->place->value] ??= $candidates->sownOn($crop, $sow, $bed->place, $method) ?? false;
            if (false === $way || $way->bedStart < $garden->today->number) {
                continue;
            }
            $stay = Period::fromFirstToLast(Day::of($way->bedStart), Day::of($way->lastField));
            $stretch = FreeStretches::first($bed, $all, $stay, $share > 0.0 ? (int) round($bed->length->millimetres * $share) : $millimetres);
            $breach = null === $stretch ? null : $gap->breach($stretch, $crop->item(), $bed->place, $stay);
            if (null !== $stretch && null === $breach) {
                return self::planting($way, $stretch, $all, []);
            }
            $fallback ??= null === $stretch ? null : self::planting($way, $stretch, $all, [(string) $breach]);
        }

        return $fallback ?? match (true) {
            [] === array_filter($byPlace) => \sprintf('%s cannot go into the ground then: it is not its season there, or frost would end it first', $crop->name),
            [] === array_filter($byPlace, static fn (Candidate|false $way): bool => false !== $way && $way->bedStart >= $garden->today->number) => 'the bed could not be made ready any more',
            default => 'no bed has that length free all that time',
        };
    }

    /**
     * @param list<Planting> $all
     * @param list<string>   $remarks
     */
    private static function planting(Candidate $way, Stretch $stretch, array $all, array $remarks): Planting
    {
        $keys = array_fill_keys(array_map(static fn (Planting $p): string => $p->key, $all), true);

        return new Planting(PlantingKey::free($way->item, Day::of($way->sow), $keys), $way->item, $way->method, $way->place, $way->recipe, Day::of($way->sow), Day::of($way->ground), Day::of($way->bedStart), Day::of($way->ready), Day::of($way->lastField), $way->perMetre, [$stretch], Standing::Planned, true, $remarks, variety: $way->variety);
    }
}
