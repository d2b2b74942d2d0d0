<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\Recipe;
use JollyFurrow\Preparation\RecipeBook;
use JollyFurrow\Record\Happening;
use JollyFurrow\Time\Day;

/** A bed whose preparation should have begun and is not noted as begun, and what still works. */
final readonly class LateBed
{
    /**
     * @param int      $days    late
     * @param Planting $quicker the same day by a quicker preparation; null: none is quick enough
     * @param float    $hours   that takes more, or less
     * @param Planting $later   as soon as its own preparation allows, if it begins today; null: its season is over then
     */
    private function __construct(public Planting $planting, public int $days, public ?Planting $quicker, public ?Recipe $by, public float $hours, public ?Planting $later)
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
            $isOpen = \in_array($planting->standing, [Standing::Planned, Standing::InNursery], true) && !$planting->ground->isBefore($garden->today) && $recipes->has($planting->recipe);
            if ($isOpen && $planting->bedStart->isBefore($garden->today) && !($begun[$planting->key] ?? false)) {
                $late[] = self::of($garden, $book, $recipes, $planting);
            }
        }
        usort($late, static fn (self $a, self $b): int => [$a->planting->ground->number, $a->planting->key] <=> [$b->planting->ground->number, $b->planting->key]);

        return $late;
    }

    private static function of(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting): self
    {
        $leads = new Leads($garden);
        $own = $recipes->get($planting->recipe);
        $left = $planting->ground->since($garden->today);
        $quick = array_filter($recipes->all(), static fn (Recipe $r): bool => $r->key !== $own->key && $leads->daysFor($r, $planting) <= $left && $r->spreadsCompost === $own->spreadsCompost);
        usort($quick, static fn (Recipe $a, Recipe $b): int => [$leads->daysFor($b, $planting), $a->hoursPer100Metres(), $a->key] <=> [$leads->daysFor($a, $planting), $b->hoursPer100Metres(), $b->key]);
        $by = $quick[0] ?? null;
        $quicker = null === $by ? null : $planting->but(dates: new Dates($planting->sow, $planting->ground, $planting->ground->plus(-$leads->daysFor($by, $planting)), $planting->ready, $planting->clear), recipe: $by->key);

        return new self($planting, $garden->today->since($planting->bedStart), $quicker, $by, null === $by ? 0.0 : ($by->hoursPer100Metres() - $own->hoursPer100Metres()) * $planting->length()->metres() / 100, self::later($garden, $book, $recipes, $planting, $leads, $own));
    }

    private static function later(Garden $garden, CropBook $book, RecipeBook $recipes, Planting $planting, Leads $leads, Recipe $own): ?Planting
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
        $moved = Standing::InNursery === $planting->standing ? $hand->intoGroundOn($garden, $planting, $ground) : $hand->sowOn($garden, $planting, self::notBefore($planting->sow->plus($shift), $garden->today));
        $moved = $moved->but(dates: new Dates($moved->sow, $moved->ground, $moved->ground->plus(-min($moved->ground->since($garden->today), $leads->daysFor($own, $planting, $moved->ground))), $moved->ready, $moved->clear));
        $season = $garden->season($book->grown($planting->item, $planting->variety), $planting->place);

        return null !== $season && $season->contains($moved->ground) && !$moved->clear->isBefore($moved->ready) ? $moved : null;
    }

    private static function notBefore(Day $day, Day $today): Day
    {
        return $day->isBefore($today) ? $today : $day;
    }
}
