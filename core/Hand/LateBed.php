<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Time\Day;

/** A bed whose preparation should have begun and is not noted as begun, and what still works. */
final readonly class LateBed
{
    private const CLEAN = 'fast-turn';
    private const CLEAN_DAYS = 28;

    /**
     * @param int      $days       late
     * @param Planting $quicker    the same day by a quicker preparation; null: none is quick enough
     * @param float    $hours      that takes more, or less
     * @param Planting $elsewhere  the same day on another bed that can be ready by then; null: there is none
     * @param float    $hoursThere that takes more, or less
     * @param Planting $later      as soon as its own preparation allows, if it begins today; null: its season is over then
     */
    private function __construct(public Planting $planting, public int $days, public ?Planting $quicker, public ?Recipe $by,
        public float $hours, public ?Planting $later, public ?Planting $elsewhere = null, public float $hoursThere = 0.0)
    {
    }

    /** @return list<self> the next to be planted first */
    public static function all(Garden $garden, CropBook $book, RecipeBook $recipes): array
    {
        $begun = [];
        foreach ($garden->notes as $note) {
            $begun[$note->planting] = ($begun[$note->planting] ?? false) || Happening::Begun === $note->what;
        }
        $late = [];
        foreach ($garden->plantings as $planting) {
            $isOpen = \in_array($planting->standing, [Standing::Planned, Standing::InNursery], true)
                && !$planting->ground->isBefore($garden->today) && $recipes->has($planting->recipe);
            if ($isOpen && $planting->bedStart->isBefore($garden->today) && !($begun[$planting->key] ?? false)) {
                $late[] = self::of($garden, $book, $recipes, $planting);
            }
        }
        usort($late, static fn (self $a, self $b): int => [$a->planting->ground->number,
            $a->planting->key] <=> [$b->planting->ground->number, $b->planting->key]);

        return $late;
    }

    private static function of(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting): self
    {
        $leads = new Leads($garden);
        $own = $recipes->get($planting->recipe);
        $left = $planting->ground->since($garden->today);
        $quick = array_filter($recipes->all(), static fn (Recipe $r): bool => $r->key !== $own->key
            && $leads->daysFor($r, $planting) <= $left && $r->spreadsCompost === $own->spreadsCompost);
        usort($quick, static fn (Recipe $a, Recipe $b): int => [$leads->daysFor($b, $planting), $a->hoursPer100Metres(),
            $a->key] <=> [$leads->daysFor($a, $planting), $b->hoursPer100Metres(), $b->key]);
        $by = $quick[0] ?? null;
        $quicker = null === $by ? null : $planting->but(dates: new Dates($planting->sow, $planting->ground,
            $planting->ground->plus(-$leads->daysFor($by, $planting)), $planting->ready, $planting->clear), recipe: $by->key);

        return new self($planting, $garden->today->since($planting->bedStart), $quicker, $by, null === $by ? 0.0
            : ($by->hoursPer100Metres() - $own->hoursPer100Metres()) * $planting->length()->metres() / 100, self::later($garden, $book,
                $recipes, $planting, $leads, $own), ...self::elsewhere($garden, $book, $recipes, $planting, $leads, $own));
    }

    /**
     * The first bed, with the fewest rules bent, that is free from when its own preparation would begin: by the recipe of
     * its block, or by a fast turn where a crop stood until a few weeks ago and the ground is still clean.
     *
     * @return array{Planting|null, float} and hours it takes more, or less
     */
    private static function elsewhere(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting, Leads $leads,
        Recipe $own): array
    {
        $crop = $book->grown($planting->item, $planting->variety);
        $others = $garden->plantings->without($planting->key);
        $ground = Ground::under($garden, $book, $others);
        $best = null;
        foreach ($garden->beds as $bed) {
            if (null !== $best && 0 === $best[1]) {
                break;
            }
            if ($bed->place !== $planting->place || \in_array($bed->name, array_map(static fn (Stretch $s): string => $s->bed,
                $planting->pieces), true)) {
                continue;
            }
            $block = $garden->settings->rules->block($bed->block)->recipe;
            $ways = ['' !== $crop->recipe || '' === $block ? $own->key : $block, ...(self::isClean($garden, $bed) ? [self::CLEAN] : [])];
            foreach (array_filter($ways, $recipes->has(...)) as $way) {
                $start = $planting->ground->plus(-$leads->days($recipes->get($way), $planting->ground, 'tough' === $bed->temper->weeds));
                $moved = $planting->but(dates: new Dates($planting->sow, $planting->ground, $start, $planting->ready, $planting->clear),
                    recipe: $way);
                $stretch = $start->isBefore($garden->today) || !$ground->mayStand($bed, Stay::ofPlanting($crop, $moved))
                    ? null : $ground->first($bed, $start->number, $planting->clear->number, $planting->length()->micrometres);
                if (null === $stretch) {
                    continue;
                }
                $moved = $moved->but(pieces: [$stretch]);
                $bent = (new Conflicts($book))->of($garden->with($others->with($moved)), [$moved->key]);
                $isHard = [] !== array_filter($bent, static fn (Conflict $c): bool => $c->isHard());
                if (!$isHard && (null === $best || \count($bent) < $best[1])) {
                    $best = [$moved, \count($bent),
                        ($recipes->get($way)->hoursPer100Metres() - $own->hoursPer100Metres()) * $planting->length()->metres() / 100];
                }
            }
        }

        return [$best[0] ?? null, $best[2] ?? 0.0];
    }

    /** A crop stood there until so many days ago, or is cleared before long: no weeds to speak of. */
    private static function isClean(Garden $garden, Bed $bed): bool
    {
        $cleared = array_map(static fn (PastCrop $p): int => $p->stretch->bed === $bed->name ? $garden->today->since($p->cleared) : 999,
            $garden->history);
        foreach ($garden->plantings as $planting) {
            $isThere = [] !== array_filter($planting->pieces, static fn (Stretch $s): bool => $s->bed === $bed->name)
                && !$garden->today->isBefore($planting->ground);
            $cleared[] = $isThere ? $garden->today->since($planting->clear) : 999;
        }

        return [] !== $cleared && min($cleared) <= self::CLEAN_DAYS;
    }

    private static function later(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting, Leads $leads,
        Recipe $own): ?Planting
    {
        $ground = $garden->today;
        while ($leads->daysFor($own, $planting, $ground) > $ground->since($garden->today)) {
            $ground = $ground->plus(1);
        }
        if ($ground->isBefore($planting->ground)) {
            return null;
        }
        $hand = new ByHand($book, $recipes);
        $shift = $ground->since($planting->ground);
        $moved = Standing::InNursery === $planting->standing ? $hand->intoGroundOn($garden, $planting, $ground) : $hand->sowOn($garden,
            $planting, self::notBefore($planting->sow->plus($shift), $garden->today));
        $moved = $moved->but(dates: new Dates($moved->sow, $moved->ground,
            $moved->ground->plus(-min($moved->ground->since($garden->today), $leads->daysFor($own, $planting, $moved->ground))),
            $moved->ready, $moved->clear));
        $against = (new Here($garden))->against($book->grown($planting->item, $planting->variety), $moved->method, $moved->place,
            $moved->sow, $moved->ground);

        return null === $against && !$moved->clear->isBefore($moved->ready) ? $moved : null;
    }

    private static function notBefore(Day $day, Day $today): Day
    {
        return $day->isBefore($today) ? $today : $day;
    }
}
