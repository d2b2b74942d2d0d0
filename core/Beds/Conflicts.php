<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Plantings;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Season\Here;
use JollyFurrow\Time\Day;

/** Holds plantings against the beds, each other, the season and the family gap. What a bed says, the ground is asked. */
final readonly class Conflicts
{
    public function __construct(private CropBook $book)
    {
    }

    /**
     * @param Garden       $garden with all plantings, those in question among them
     * @param list<string> $keys   plantings in question
     *
     * @return list<Conflict> hard ones first
     */
    public function of(Garden $garden, array $keys): array
    {
        $ground = Ground::under($garden, $this->book, $garden->plantings);
        $settled = Ground::under($garden, $this->book, $garden->plantings->without(...$keys));
        $inQuestion = array_flip($keys);
        $found = [];
        foreach ($garden->plantings->where(static fn (Planting $p): bool => isset($inQuestion[$p->key])) as $planting) {
            $breaches = [
                ...$this->ground($ground, $garden, $planting, $inQuestion),
                ...$this->season($garden, $planting),
                ...$this->flower($ground, $planting),
                ...self::family($settled->gap, $planting),
            ];
            $found = [...$found, ...array_map(static fn (Breach $breach): Conflict => Conflict::of($planting->key, $breach), $breaches)];
        }
        usort($found, static fn (Conflict $a, Conflict $b): int => (int) $b->isHard() <=> (int) $a->isHard());

        return $found;
    }

    /**
     * @param Garden $garden with all plantings, those in question among them
     *
     * @return list<Conflict> those of one planting that may not be
     */
    public function hard(Garden $garden, string ...$keys): array
    {
        return array_values(array_filter($this->of($garden, array_values($keys)), static fn (Conflict $c): bool => $c->isHard()));
    }

    /**
     * One planting in several places it might have, each as if it stood there alone: the beds are read once for all of them.
     *
     * @param Garden                  $others       without the planting in question
     * @param array<string, Planting> $alternatives by bed
     *
     * @return array<string, list<Conflict>> by bed, hard ones first
     */
    public function ofEach(Garden $others, array $alternatives): array
    {
        $ground = Ground::under($others, $this->book, $others->plantings);
        $season = $found = [];
        foreach ($alternatives as $bed => $planting) {
            $season[$planting->place->value] ??= $this->season($others, $planting);
            $conflicts = array_map(static fn (Breach $breach): Conflict => Conflict::of($planting->key, $breach), [
                ...$this->ground($ground, $others, $planting, []), ...$season[$planting->place->value], ...$this->flower($ground,
                    $planting),
                ...self::family($ground->gap, $planting)]);
            usort($conflicts, static fn (Conflict $a, Conflict $b): int => (int) $b->isHard() <=> (int) $a->isHard());
            $found[$bed] = $conflicts;
        }

        return $found;
    }

    /**
     * @param array<string, int> $inQuestion
     *
     * @return list<Breach>
     */
    private function ground(Ground $ground, Garden $garden, Planting $planting, array $inQuestion): array
    {
        $beds = $garden->bedsByName();
        $found = [];
        foreach ($planting->pieces as $piece) {
            $bed = $beds[$piece->bed] ?? null;
            $found = [...$found, ...(null === $bed ? [self::breach(Rule::NoSuchBed, bed: $piece->bed)]
                : $this->bed($ground, $garden->plantings, $planting, $piece, $bed, $inQuestion))];
        }

        return $found;
    }

    /**
     * @param array<string, int> $inQuestion
     *
     * @return list<Breach>
     */
    private function bed(Ground $ground, Plantings $plantings, Planting $planting, Stretch $piece, Bed $bed, array $inQuestion): array
    {
        $found = [];
        if ($piece->to > $bed->length->micrometres) {
            $found[] = self::breach(Rule::BeyondBed, bed: $bed->name, length: Quantity::long($bed->length),
                to: Quantity::long(Length::fromMicrometres($piece->to)));
        }
        if ($bed->place !== $planting->place) {
            $found[] = self::breach(Rule::WrongPlace, bed: $bed->name, is: $bed->place, wanted: $planting->place);
        }
        $crop = $this->cropOf($planting, Standing::Planned, Standing::InNursery);
        if (null !== $crop) {
            $tempers = $bed->temper->against($crop, $planting->ground, $ground->garden->place->latitude);
            $found = [...$found, ...$ground->against($bed, Stay::ofPlanting($crop, $planting)),
                ...array_map(static fn (Message $against): Breach => self::breach(Rule::BedTemper, bed: $bed->name, against: $against),
                    $tempers)];
        }
        $rots = null === $crop ? null : $ground->restingOn($piece, $planting->bedStart->number);
        if (null !== $rots) {
            $found[] = self::breach(Rule::ResidueRots,
                crop: $this->book->has($rots->item) ? $this->book->get($rots->item)->name : $rots->item,
                bed: $bed->name, until: Day::of($rots->holdsUntil()));
        }
        foreach ($ground->inTheWay($piece, $planting->bedStart->number, $planting->clear->number) as $key) {
            $other = $plantings->get($key);
            if (null !== $other && $key !== $planting->key && !(isset($inQuestion[$key]) && $key < $planting->key)) {
                $found[] = $this->taken($ground->garden, $plantings->without($planting->key), $planting, $other, $bed);
            }
        }

        return $found;
    }

    private function taken(Garden $garden, Plantings $others, Planting $planting, Planting $other, Bed $bed): Breach
    {
        $free = Ground::under($garden, $this->book, $others->on($bed->name))->freeLengths($bed, $planting->bedStart->number,
            $planting->clear->number);
        $longest = [] === $free ? 0 : max(array_map(static fn (Length $length): int => $length->micrometres, $free));

        return self::breach(
            Rule::GroundTaken,
            crop: $this->book->has($other->item) ? $this->book->get($other->item)->name : $other->item,
            bed: $bed->name,
            begun: $this->isBegun($other) ? 'yes' : 'no',
            from: $other->bedStart,
            until: $other->clear,
            isFree: 0 === $longest ? 'no' : 'yes',
            free: Quantity::long(Length::fromMicrometres($longest)),
        );
    }

    private function isBegun(Planting $planting): bool
    {
        return !\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true);
    }

    /** @return list<Breach> */
    private function season(Garden $garden, Planting $planting): array
    {
        $crop = $this->cropOf($planting, Standing::Planned);
        if (null === $crop) {
            return [];
        }
        if (0.0 === $planting->stand) {
            return [new Breach(Rule::FrostFirst, Message::of(Rule::FrostFirst))];
        }
        $here = new Here($garden);
        $covers = $garden->coversOf($planting);
        $never = $here->never($crop, $planting->method, $planting->place, $planting->sow, $planting->ground, $covers);
        $against = $never ?? $here->unusual($crop, $planting->method, $planting->place, $planting->sow, $planting->ground, $covers);
        $isCertain = $never?->code instanceof Against && $never->code->isCertain();

        return null === $against ? [] : [self::breach($isCertain ? Rule::ComesToNothing : Rule::OutOfSeason, crop: $crop->name,
            place: $planting->place, day: $planting->ground, against: $against)];
    }

    /** @return list<Breach> */
    private function flower(Ground $ground, Planting $planting): array
    {
        $crop = $this->cropOf($planting, Standing::Planned);
        $beds = $ground->garden->bedsByName();
        foreach ($planting->pieces as $piece) {
            $breach = null !== $crop && isset($beds[$piece->bed])
                ? $ground->tooNearInFlower($crop, $planting->ready->number, $beds[$piece->bed], $planting->key) : null;
            if (null !== $breach) {
                return [$breach];
            }
        }

        return [];
    }

    /** @return list<Breach> */
    private static function family(FamilyGap $gap, Planting $planting): array
    {
        $breaches = array_map(static fn (Stretch $piece): ?Breach => $gap->breach($piece, $planting->item, $planting->place,
            $planting->occupancy()), $planting->pieces);

        return Standing::Planned === $planting->standing ? array_values(array_filter($breaches)) : [];
    }

    /** Its crop, where it stands as one of those and the book knows it. */
    private function cropOf(Planting $planting, Standing ...$standing): ?Crop
    {
        return $this->book->has($planting->item) && \in_array($planting->standing, $standing, true)
            ? $this->book->grown($planting->item, $planting->variety) : null;
    }

    private static function breach(Rule $rule, int|string|Day|Quantity|\BackedEnum|Message ...$values): Breach
    {
        return new Breach($rule, Message::of($rule, ...$values));
    }
}
