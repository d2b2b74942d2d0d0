<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Ground;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidates;

/**
 * Changes a grower makes to single plantings by hand. Each answers with the planting as it would be; nothing is kept
 * here. Dates are worked out anew from the day that was changed.
 */
final readonly class ByHand
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** Sown on another day. */
    public function sowOn(Garden $garden, Planting $planting, Day $sow): Planting
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $nursery = $planting->ground->since($planting->sow);
        $ground = 0 === $nursery ? $sow : ($crop->timing->nurseryDays > 0
            ? (new Candidates($garden, $this->recipes))->outOfTheNursery($crop, $sow, $planting->place)
                ?? $sow->plus($crop->timing->nurseryDays) : $sow->plus($nursery));

        return $this->dated($garden, $planting, $sow, $ground);
    }

    /** Planted out, or sown in the bed, on another day. */
    public function intoGroundOn(Garden $garden, Planting $planting, Day $ground): Planting
    {
        if ($ground->isBefore($planting->sow)) {
            throw CannotBeDone::of('when', NotDone::PlantedBeforeSown, day: $planting->sow);
        }

        return $this->dated($garden, $planting, $planting->sow->equals($planting->ground) ? $ground : $planting->sow, $ground);
    }

    /** Cleared on another day than was planned. */
    public function until(Planting $planting, Day $clear): Planting
    {
        if ($clear->isBefore($planting->ready)) {
            throw CannotBeDone::of('until', NotDone::ClearedBeforeReady, day: $planting->ready);
        }

        return $planting->but(dates: new Dates($planting->sow, $planting->ground, $planting->bedStart, $planting->ready, $clear));
    }

    /** The whole length in one piece on a bed, from a given place or the first that is free, with the days and the yield it has there. */
    public function onto(Garden $garden, Planting $planting, string $bedName, ?int $from): Planting
    {
        $bed = $garden->bedsByName()[$bedName] ?? throw CannotBeDone::of('bed', NotDone::NoSuchBed, bed: $bedName);
        $there = $this->inThePlaceOf($garden, $planting, $bed);
        $long = $there->length()->micrometres;
        $share = $planting->pieces[0]->widthShare ?? 1.0;
        if (null === $from) {
            $ground = Ground::under($garden, $this->book, $garden->plantings->on($bedName)->without($planting->key));
            [$start, $last] = [$there->bedStart->number, $there->clear->number];
            $stretch = $ground->first($bed, $start, $last, $long) ?? throw CannotBeDone::noRoom($bedName, $planting->length(), ...$ground->freeLengths($bed, $start, $last));
        } else {
            $stretch = Stretch::of($bed->name, $from, $from + $long);
        }
        $crop = $this->book->grown($planting->item, $planting->variety);
        $was = $crop->perMetreOn($this->widthUnder($garden, $planting));

        return $there->but(pieces: [Stretch::of($bed->name, $stretch->from, $stretch->to, $share)],
            perMetre: $was > 0.0 ? $there->perMetre * $crop->perMetreOn($bed->width) / $was : null);
    }

    /** Its days as they are where a bed lies: what moves between field and tunnel is ready earlier or later there. */
    public function inThePlaceOf(Garden $garden, Planting $planting, Bed $bed): Planting
    {
        return $bed->place === $planting->place ? $planting : $this->redate($garden, $planting->but(place: $bed->place));
    }

    /**
     * What stands on one bed of a planting that lies on several, under the old name, and the rest.
     *
     * @return array{Planting, Planting|null} null: it lies on this bed alone
     */
    public function onBed(Garden $garden, Planting $planting, string $bed): array
    {
        $there = array_values(array_filter($planting->pieces, static fn (Stretch $s): bool => $bed === $s->bed));
        $rest = array_values(array_filter($planting->pieces, static fn (Stretch $s): bool => $bed !== $s->bed));
        if ([] === $there || [] === $rest) {
            return [$planting, null];
        }

        return [$planting->but(pieces: $there), $planting->but(key: PlantingKey::free($planting->item, $planting->sow,
            $garden->plantings->byKey()), pieces: $rest)];
    }

    /**
     * A share of the width of its bed, so that another crop can have the rest: undersown, in relay, as an edge strip. What two
     * crops on one bed give is less, or more, than their shares: the grower says what this one still gives.
     *
     * @param float $share of the width, above 0, at most 1
     * @param float $gives of the harvest it has alone on the bed, above 0
     */
    public function sharing(Garden $garden, Planting $planting, float $share, float $gives): Planting
    {
        $alone = $this->book->grown($planting->item, $planting->variety)->perMetreOn($this->widthUnder($garden, $planting));

        return $planting->but(perMetre: round($alone * $gives / $share, 4),
            pieces: array_map(static fn (Stretch $s): Stretch => Stretch::of($s->bed, $s->from,
                $s->to, $share), $planting->pieces));
    }

    /** Longer or shorter at the tail of its last piece; pieces that end up with nothing go. */
    public function asLongAs(Planting $planting, int $micrometres): Planting
    {
        $more = $micrometres - $planting->length()->micrometres;
        $pieces = $planting->pieces;
        while ([] !== $pieces && $more < 0 && end($pieces)->to - end($pieces)->from <= -$more) {
            $gone = array_pop($pieces);
            $more += $gone->to - $gone->from;
        }
        $last = array_pop($pieces) ?? throw CannotBeDone::of('length', NotDone::NoLength);

        return $planting->but(pieces: [...$pieces, Stretch::of($last->bed, $last->from, $last->to + $more, $last->widthShare)]);
    }

    /**
     * Two plantings in the place of one, the first so long as asked and under the old name.
     *
     * @return array{Planting, Planting}
     */
    public function split(Garden $garden, Planting $planting, int $micrometres): array
    {
        if ($micrometres <= 0 || $micrometres >= $planting->length()->micrometres) {
            throw CannotBeDone::of('length', NotDone::PieceTooLong, length: Quantity::long($planting->length()));
        }
        [$first, $rest] = [[], []];
        foreach ($planting->pieces as $piece) {
            $take = min($micrometres, $piece->to - $piece->from);
            $micrometres -= $take;
            if ($take > 0) {
                $first[] = Stretch::of($piece->bed, $piece->from, $piece->from + $take, $piece->widthShare);
            }
            if ($piece->from + $take < $piece->to) {
                $rest[] = Stretch::of($piece->bed, $piece->from + $take, $piece->to, $piece->widthShare);
            }
        }

        return [$planting->but(pieces: $first), $planting->but(key: PlantingKey::free($planting->item, $planting->sow,
            $garden->plantings->byKey()), pieces: $rest)];
    }

    /** The same again on another sowing day, on a bed of its own: only planned, whatever has become of the first. */
    public function again(Garden $garden, Planting $planting, Day $sow, string $bed): Planting
    {
        $copy = new Planting(PlantingKey::free($planting->item, $sow, $garden->plantings->byKey()), $planting->item, $planting->method,
            $planting->place, $planting->recipe,
            $planting->sow, $planting->ground, $planting->bedStart, $planting->ready, $planting->clear,
            $this->onItsBeds($garden, $planting, $this->book->grown($planting->item, $planting->variety)), $planting->pieces,
            Standing::Planned, true,
            variety: $planting->variety);

        return $this->onto($garden, $this->sowOn($garden, $copy, $sow), $bed, null);
    }

    /** By the values of the book as it is now: days still to come, and what a metre gives. What has happened stays. */
    public function follow(Garden $garden, Planting $planting): Planting
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $moved = $this->redate($garden, $planting);

        return null !== $crop->growth->bulbHours && Standing::Planned === $planting->standing ? $moved
            : $moved->but(perMetre: $this->onItsBeds($garden, $planting, $crop));
    }

    /** Units a metre of the beds it stands on gives. */
    private function onItsBeds(Garden $garden, Planting $planting, Crop $crop): float
    {
        return $crop->perMetreOn($this->widthUnder($garden, $planting));
    }

    private function widthUnder(Garden $garden, Planting $planting): Length
    {
        $bed = $garden->bedsByName()[$planting->pieces[0]->bed ?? ''] ?? null;

        return $bed->width ?? $garden->usualWidth($planting->place);
    }

    /** The days still to come, reckoned anew. */
    public function redate(Garden $garden, Planting $planting): Planting
    {
        return Standing::Planned === $planting->standing ? $this->sowOn($garden, $planting, $planting->sow)
            : $this->grownFrom($garden, $planting, $planting->sow, $planting->ground, false);
    }

    private function dated(Garden $garden, Planting $planting, Day $sow, Day $ground): Planting
    {
        return $this->grownFrom($garden, $planting, $sow, $ground, true);
    }

    /** With its new days and harvests; what bulbs by the day's length comes out larger or smaller by them. */
    private function grownFrom(Garden $garden, Planting $planting, Day $sow, Day $ground, bool $isSized): Planting
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $grown = (new Candidates($garden, $this->recipes))->inTheGround($crop, $sow, $ground, $planting->place, $planting->method,
            $garden->coversOf($planting));
        $ready = Day::of($grown->ready);
        $last = Day::of(max($grown->ready, $grown->lastField));
        if ($crop->pattern->isStock() && Pattern::Perennial !== $crop->pattern) {
            $stays = $ready->plus($planting->clear->since($planting->ready));
            $last = $stays->isBefore($last) ? $stays : $last;
        }
        $isBulb = $isSized && null !== $crop->growth->bulbHours && null !== $garden->timing();

        return $planting->but(dates: new Dates($sow, $ground, $ground->plus(-$this->lead($garden, $planting, $ground)), $ready, $last),
            perMetre: $isBulb ? $grown->perMetre : null, harvest: $grown->harvest());
    }

    /** Days for the bed: by the recipe for the new time of the year, but where it was given other days by hand. */
    private function lead(Garden $garden, Planting $planting, Day $ground): int
    {
        $given = max(0, $planting->ground->since($planting->bedStart));
        $leads = new Leads($garden);
        $recipe = $this->recipes->has($planting->recipe) ? $this->recipes->get($planting->recipe) : null;

        return null !== $recipe && $given === $leads->daysFor($recipe, $planting) ? $leads->daysFor($recipe, $planting, $ground) : $given;
    }
}
