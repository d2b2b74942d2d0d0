<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;

/**
 * When what stands stays longer than was planned, the plan follows: its last days are cut off where it is ready in time
 * for what comes next; else what is only planned, or still on the bench, comes into the bed later, and so on down the bed.
 */
final readonly class MakeWay
{
    /** Days of picking that are kept free before the next is moved. */
    private const LEAST_PICKING = 4;
    /** So many plantings after each other are moved at most. */
    private const DEEPEST = 8;

    private ByHand $byHand;

    public function __construct(CropBook $book, RecipeBook $recipes)
    {
        $this->byHand = new ByHand($book, $recipes);
    }

    /**
     * @param Garden   $garden   with the planting as it now is
     * @param Planting $planting one of its plantings
     *
     * @return array{Planting, array<string, Planting>} the planting, perhaps cleared earlier; those that come later, by key
     */
    public function for(Garden $garden, Planting $planting, int $depth = 0): array
    {
        $next = self::next($garden, $planting);
        if ([] === $next || $depth >= self::DEEPEST) {
            return [$planting, []];
        }
        $capped = self::capped($garden, $planting);
        if (null !== $capped) {
            return [$capped, []];
        }
        $last = $planting->ready->plus(min(self::LEAST_PICKING, $planting->clear->since($planting->ready)));
        $planting = $planting->but(dates: new Dates($planting->sow, $planting->ground, $planting->bedStart, $planting->ready, $last));
        $moved = [];
        foreach ($next as $other) {
            $days = $last->since($other->bedStart) + 1;
            if ($days <= 0) {
                continue;
            }
            $later = Standing::InNursery === $other->standing ? $this->byHand->intoGroundOn($garden, $other,
                $other->ground->plus($days)) : $this->byHand->sowOn($garden, $other, $other->sow->plus($days));
            $garden = $garden->with($garden->plantings->with($later));
            [$later, $more] = $this->for($garden, $later, $depth + 1);
            $moved = [...$moved, $later->key => $later, ...$more];
        }

        return [$planting, $moved];
    }

    /** Cleared the day before the next one takes the bed; null when it is not ready by then. */
    public static function capped(Garden $garden, Planting $planting): ?Planting
    {
        $starts = array_map(static fn (Planting $p): int => $p->bedStart->number, self::next($garden, $planting));
        $last = [] === $starts ? $planting->clear : $planting->clear->plus(min($starts) - 1 - $planting->clear->number);

        return $last->isBefore($planting->ready) ? null : $planting->but(dates: new Dates($planting->sow, $planting->ground,
            $planting->bedStart, $planting->ready, $last));
    }

    /** @return list<Planting> not yet in the ground, and meant for the same ground before this one is cleared */
    private static function next(Garden $garden, Planting $planting): array
    {
        return $garden->plantings->where(static fn (Planting $p): bool => $p->key !== $planting->key
            && \in_array($p->standing, [Standing::Planned, Standing::InNursery], true)
            && $planting->bedStart->isBefore($p->bedStart) && $p->occupancy()->overlaps($planting->occupancy())
                && self::shareGround($p, $planting))->all();
    }

    private static function shareGround(Planting $one, Planting $other): bool
    {
        foreach ($one->pieces as $piece) {
            if ([] !== array_filter($other->pieces, static fn (Stretch $s): bool => $s->isInTheWayOf($piece))) {
                return true;
            }
        }

        return false;
    }
}
