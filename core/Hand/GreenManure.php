<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Hardiness;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Residue;
use JollyFurrow\Preparation\ResidueAmount;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** A green manure for a gap: what to sow, how thick, when and how to end it so that the next crop can go in, what it leaves. */
final readonly class GreenManure
{
    /** A bed for it is raked and sown in a day or two. */
    private const BED_DAYS = 2;
    /** Shorter than this share of its days it is not worth its seed. */
    private const LEAST_SHARE = 0.6;
    /** A green manure of so many days stands over winter: it is sown so many days after the longest (common practice, no source). */
    private const OVER_WINTER = 180;
    private const AFTER_LONGEST = [60, 150];
    private const YEAR = 366;
    /** Nitrogen in the dry matter, and the share of it the next crop finds (common practice, no source). */
    private const NITROGEN = ['legume' => 0.032, 'other' => 0.018];
    private const FOUND = 0.5;

    /**
     * @param Day     $sow      first day it can be sown
     * @param Day     $end      it is ended on that day at the latest
     * @param Day     $plant    from then on the bed can be planted
     * @param Working $seed     grams for the stretch
     * @param Working $dry      kilograms of dry matter
     * @param Working $nitrogen grams the next crop finds
     * @param bool    $byFrost  frost ends it
     * @param float   $tonnes   of dry matter a hectare
     */
    private function __construct(public Crop $crop, public Day $sow, public Day $end, public Day $plant, public Working $seed,
        public Working $dry, public Working $nitrogen, public bool $byFrost, public float $tonnes)
    {
    }

    /**
     * @param Day|null $until last free day; null: nothing is planned after
     *
     * @return list<self> what leaves most nitrogen first
     */
    public static function forGap(Garden $garden, CropBook $book, Bed $bed, Length $length, Day $from, ?Day $until): array
    {
        $ground = new Ground($garden, $book);
        $found = [];
        foreach ($book->all() as $crop) {
            $sow = Pattern::GreenManure !== $crop->pattern ? null
                : self::firstSowing($garden, $crop, $bed->place, $from->isBefore($garden->today) ? $garden->today : $from);
            if (null === $sow) {
                continue;
            }
            $days = $crop->timing->daysSown ?? 0;
            $full = $sow->plus($days);
            $heaviest = self::tonnes($crop, $bed, 1.0);
            $plant = null === $until ? $full->plus(Residue::restDays($heaviest, $full, $garden->place->latitude)) : $until->plus(1);
            $end = $plant->plus(-Residue::restDays($heaviest, $plant, $garden->place->latitude));
            $share = min(1.0, max(0, $end->since($sow)) / max(1, $days));
            $end = $plant->plus(-Residue::restDays(self::tonnes($crop, $bed, $share), $plant, $garden->place->latitude));
            $end = $full->isBefore($end) ? $full : $end;
            $share = min(1.0, max(0, $end->since($sow)) / max(1, $days));
            $rest = Residue::restDays(self::tonnes($crop, $bed, $share), $plant, $garden->place->latitude);
            $end = $plant->since($end) < $rest ? $plant->plus(-$rest) : $end;
            while (!$end->isBefore($sow) && $plant->isBefore(Residue::restedBy($crop, $bed->width, $sow, $end, $garden->place->latitude))) {
                $end = $end->plus(-1);
            }
            $share = min(1.0, max(0, $end->since($sow)) / max(1, $days));
            if ($share >= self::LEAST_SHARE && $ground->mayStand($bed, Stay::ofGreenManure($crop, $sow, $end))) {
                $found[] = self::of($garden, $bed, $length, $crop, $sow, $end, $plant, $share);
            }
        }
        usort($found, static fn (self $a, self $b): int => [$b->nitrogen->value, $a->sow->number,
            $a->crop->key] <=> [$a->nitrogen->value, $b->sow->number, $b->crop->key]);

        return $found;
    }

    public function residue(): ResidueAmount
    {
        return Residue::amount($this->tonnes);
    }

    /** Dry matter in tonnes a hectare, of so much of a full stand. */
    private static function tonnes(Crop $crop, Bed $bed, float $share): float
    {
        return $crop->produce->perMetre * 0.1 * $share / $bed->width->metres() * 10;
    }

    /** The planting it would be on the whole stretch: it takes the bed from sowing until it is ended; locked. */
    public function planting(Stretch $stretch, PlaceType $place, string $recipe, Day $today, string $key): Planting
    {
        $start = $this->sow->plus(-self::BED_DAYS);

        return new Planting($key, $this->crop->item(), Method::Sown, $place, $recipe, $this->sow, $this->sow, $start->isBefore($today)
            ? $today : $start, $this->end, $this->end, $this->crop->produce->perMetre, [$stretch], Standing::Planned, true,
            variety: $this->crop->key);
    }

    /** The first day its seed can go in; what stands over winter is sown when the days grow shorter. Null: none within a year. */
    private static function firstSowing(Garden $garden, Crop $crop, PlaceType $place, Day $from): ?Day
    {
        $here = new Here($garden);
        $sun = $garden->local()->sun;
        $overWinter = ($crop->timing->daysSown ?? 0) >= self::OVER_WINTER;
        for ($sow = $from; $sow->since($from) < self::YEAR; $sow = $sow->plus(1)) {
            $since = $sun->sinceLongest($sow->number);
            $isItsTime = !$overWinter || $sun->isEven() || ($since >= self::AFTER_LONGEST[0] && $since <= self::AFTER_LONGEST[1]);
            if ($isItsTime && null === $here->never($crop, Method::Sown, $place, $sow, $sow)) {
                return $sow;
            }
        }

        return null;
    }

    private static function of(Garden $garden, Bed $bed, Length $length, Crop $crop, Day $sow, Day $end, Day $plant, float $share): self
    {
        $dry = Working::of(Sum::DryMatterGrown, $crop->produce->perMetre * 0.1 * $length->metres() * $share, Unit::Kilogram,
            'perMetre * metres * share', [
            Input::of('perMetre', $crop->produce->perMetre * 0.1, Unit::KilogramPerMetre, $crop->source('yield_per_m')),
            Input::of('metres', $length->metres(), Unit::Metre, Source::garden(From::TheBed)),
            Input::of('share', $share, Unit::Share, Source::model(From::GrowsEvenly)),
        ], Source::practice());
        $content = self::NITROGEN['Legume' === $crop->family ? 'legume' : 'other'];
        $frost = $garden->place->firstFrost->in($sow->year());

        return new self($crop, $sow, $end, $plant, SeedNeed::of($crop, Method::Sown, Spacing::inBed($crop->stand, $bed->width,
            $length))->grams, $dry,
            Working::of(Sum::NitrogenLeft, $dry->value * 1000 * $content * self::FOUND, Unit::Gram, 'dry * 1000 * content * found', [
                Input::of('dry', $dry->value, Unit::Kilogram, Source::garden(From::WorkingAbove)),
                Input::of('content', $content, Unit::Share, Source::practice()),
                Input::of('found', self::FOUND, Unit::Share, Source::practice()),
            ], Source::practice()),
            Hardiness::Hardy !== $crop->habits->hardiness && $sow->isBefore($frost) && $frost->plus(45)->isBefore($plant),
            self::tonnes($crop, $bed, $share));
    }
}
