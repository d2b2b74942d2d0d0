<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Season\FrostWarning;

/** Holds plantings against the beds, each other, the season and the family gap. */
final readonly class Conflicts
{
    private const WIDTH_TOLERANCE = 1.0001;

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
        $inQuestion = array_flip($keys);
        $gap = new FamilyGap($garden, $this->book);
        foreach ($garden->plantings as $planting) {
            foreach (isset($inQuestion[$planting->key]) ? [] : $planting->pieces as $piece) {
                $gap->stood($piece, $planting->item, $planting->occupancy());
            }
        }
        $found = [];
        foreach ($garden->plantings as $planting) {
            if (isset($inQuestion[$planting->key])) {
                $found = [...$found, ...$this->ground($garden, $planting, $inQuestion), ...$this->season($garden, $planting), ...$this->flower($garden, $planting), ...self::family($gap, $planting)];
            }
        }
        usort($found, static fn (Conflict $a, Conflict $b): int => (int) $b->isHard() <=> (int) $a->isHard());

        return $found;
    }

    /**
     * @param array<string, int> $inQuestion
     *
     * @return list<Conflict>
     */
    private function ground(Garden $garden, Planting $planting, array $inQuestion): array
    {
        $beds = $garden->bedsByName();
        $found = [];
        foreach ($planting->pieces as $piece) {
            $bed = $beds[$piece->bed] ?? null;
            if (null === $bed) {
                $found[] = new Conflict(Rule::NoSuchBed, $planting->key, \sprintf('There is no bed %s.', $piece->bed));
                continue;
            }
            if ($piece->to > $bed->length->millimetres) {
                $found[] = new Conflict(Rule::BeyondBed, $planting->key, \sprintf('Bed %s is %s long; this would reach to %s.', $bed->name, $garden->settings->units->long($bed->length), $garden->settings->units->long(Length::fromMillimetres($piece->to))));
            }
            if ($bed->place !== $planting->place) {
                $found[] = new Conflict(Rule::WrongPlace, $planting->key, \sprintf('Bed %s is %s, the planting is for %s.', $bed->name, $bed->place->words(), $planting->place->words()));
            }
            $found = [...$found, ...$this->bed($garden, $planting, $bed)];
            foreach ($garden->plantings as $other) {
                if ($other->key === $planting->key || (isset($inQuestion[$other->key]) && $other->key < $planting->key) || !$other->occupancy()->overlaps($planting->occupancy())) {
                    continue;
                }
                if ($this->meets($other, $piece)) {
                    $found[] = new Conflict(Rule::GroundTaken, $planting->key, $this->taken($garden, $planting, $other, $bed));
                }
            }
        }

        return $found;
    }

    /** @return list<Conflict> a family in quarantine there; what the bed's temper says against the crop */
    private function bed(Garden $garden, Planting $planting, Bed $bed): array
    {
        if (!$this->book->has($planting->item) || !\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true)) {
            return [];
        }
        $crop = $this->book->grown($planting->item, $planting->variety);
        $kept = $bed->quarantineOf($crop->family, $planting->bedStart);
        $hard = null === $kept ? [] : [new Conflict(Rule::Quarantined, $planting->key, \sprintf('The %s family is kept off bed %s until %s%s.', strtolower($crop->family), $bed->name, $kept->until->iso(), '' === $kept->why ? '' : ': '.$kept->why))];

        $rules = $garden->settings->rules;
        $rest = $rules->rests($bed->name, $planting->occupancy());
        $off = $rules->keepsOff($crop, $bed);
        $hard = null === $rest ? $hard : [...$hard, new Conflict(Rule::Resting, $planting->key, \sprintf('Bed %s rests until %s%s.', $bed->name, $rest->days->last()->iso(), '' === $rest->why ? '' : ': '.$rest->why))];
        $hard = null === $off ? $hard : [...$hard, new Conflict(Rule::NotHere, $planting->key, \sprintf('%s is kept off %s%s.', ucfirst($off->what), $off->where, '' === $off->why ? '' : ': '.$off->why))];

        return [...$hard, ...array_map(static fn (string $words): Conflict => new Conflict(Rule::BedTemper, $planting->key, \sprintf('Bed %s: %s.', $bed->name, $words)), $bed->temper->against($crop, $planting->ground, $garden->place->latitude))];
    }

    private function meets(Planting $other, Stretch $piece): bool
    {
        foreach ($other->pieces as $theirs) {
            if ($theirs->sharesGroundWith($piece) && $theirs->widthShare + $piece->widthShare > self::WIDTH_TOLERANCE) {
                return true;
            }
        }

        return false;
    }

    private function taken(Garden $garden, Planting $planting, Planting $other, Bed $bed): string
    {
        $free = array_map(static fn (Stretch $s): string => $garden->settings->units->long($s->length()), FreeStretches::on($bed, array_values(array_filter($garden->plantings, static fn (Planting $p): bool => $p->key !== $planting->key)), $planting->occupancy()));

        $begun = !\in_array($other->standing, [Standing::Planned, Standing::InNursery], true);

        return \sprintf('%s %s bed %s %s. %s', $this->name($other->item), $begun ? 'stands on' : 'is to stand on', $bed->name, $begun ? 'until '.$other->clear->iso() : \sprintf('from %s to %s', $other->bedStart->iso(), $other->clear->iso()),
            [] === $free ? 'Nothing of the bed is free all that time.' : \sprintf('Free there all that time: %s.', implode(' and ', $free)));
    }

    /** @return list<Conflict> */
    private function season(Garden $garden, Planting $planting): array
    {
        if (!$this->book->has($planting->item) || Standing::Planned !== $planting->standing) {
            return [];
        }
        $crop = $this->book->grown($planting->item, $planting->variety);
        $window = $garden->season($crop, $planting->place);
        if (null === $window || !$window->contains($planting->ground)) {
            return [new Conflict(Rule::OutOfSeason, $planting->key, \sprintf('%s usually goes into the %s %s; %s lies outside.', $crop->name, $planting->place->words(), null === $window ? 'never' : 'from '.$window->from->iso().' to '.$window->to->iso(), $planting->ground->iso()))];
        }

        if (0.0 === $planting->stand) {
            return [new Conflict(Rule::FrostFirst, $planting->key, 'Frost usually ends it before it is ready.')];
        }
        $ripe = new Ripeness($planting->sow->number, $planting->ground->number, $planting->ground->number, $planting->ready->number, $planting->clear->number);

        return array_map(static fn (string $words): Conflict => new Conflict(Rule::FrostFirst, $planting->key, $words), FrostWarning::of($garden, $crop, $garden->coversOf($planting), $ripe));
    }

    /** @return list<Conflict> corn of another kind in flower within too few days: gardens are small, so isolation goes by time */
    private function flower(Garden $garden, Planting $planting): array
    {
        if (!$this->book->has($planting->item) || Standing::Planned !== $planting->standing) {
            return [];
        }
        $crop = $this->book->grown($planting->item, $planting->variety);
        foreach ($crop->habits->isolation > 0 ? $garden->plantings : [] as $other) {
            if ($other->item === $planting->item && $other->variety !== $planting->variety && !$other->isOver($garden->today) && abs($other->ready->since($planting->ready)) < $crop->habits->isolationDays) {
                return [new Conflict(Rule::TooNearInFlower, $planting->key, \sprintf('%s of another kind is in flower within %d days of it; keep %d m or %d days apart.', $crop->name, $crop->habits->isolationDays, $crop->habits->isolation, $crop->habits->isolationDays))];
            }
        }

        return [];
    }

    /** @return list<Conflict> */
    private static function family(FamilyGap $gap, Planting $planting): array
    {
        $found = [];
        foreach (Standing::Planned === $planting->standing ? $planting->pieces : [] as $piece) {
            $breach = $gap->breach($piece, $planting->item, $planting->place, $planting->occupancy());
            if (null !== $breach) {
                $found[] = new Conflict(Rule::FamilyTooSoon, $planting->key, $breach);
            }
        }

        return $found;
    }

    private function name(string $item): string
    {
        return $this->book->has($item) ? $this->book->get($item)->name : $item;
    }
}
