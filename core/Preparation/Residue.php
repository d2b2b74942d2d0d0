<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/**
 * What a green manure leaves lying, told by eye: its height and how much of the ground it covers. From memory, believed
 * to be Managing Cover Crops Profitably (SARE handbook): 2,000 lb of dry matter an acre at 6 inches for legumes, at 8
 * inches for small grains, and 150 lb more for each further inch, times the share of ground covered.
 */
final readonly class Residue
{
    private const FIRST_KG_HA = 2241.7;
    private const FURTHER_KG_HA_CM = 66.2;
    private const FIRST_CM = ['legume' => 15.24, 'other' => 20.32];
    /** Tonnes a hectare below which residue is light, and above which it is heavy (common practice, no source). */
    private const LIGHT = 2.5;
    private const HEAVY = 5.0;
    /**
     * Days from ending it to planting by the time of the year, for middling residue, and a week less or more (common
     * practice, no source).
     */
    /** Between ending it and planting, where nothing else is known, days. */
    public const USUAL_REST = 21;
    private const REST_DAYS = ['warm' => 21, 'spring' => 28, 'cold' => 35];
    private const WEEK = 7;

    private function __construct(public Working $perHectare, public Working $dry)
    {
    }

    /** @param float $cover share of the ground covered */
    public static function byEye(Crop $crop, Length $height, float $cover, Bed $bed, Length $length): self
    {
        $first = self::FIRST_CM['Legume' === $crop->family ? 'legume' : 'other'];
        $source = Source::of(SourceKind::FromMemory,
            'Managing Cover Crops Profitably, SARE: 2,000 lb an acre at the first height, 150 lb more an inch');
        $tall = $height->metres() * 100;
        $perHectare = Working::of(Sum::DryMatterByEye, (min(1.0, $tall / $first) * self::FIRST_KG_HA + max(0.0,
            $tall - $first) * self::FURTHER_KG_HA_CM) * $cover, Unit::KilogramPerHectare,
            '(min(1, height / first) * base + max(0, height - first) * further) * cover', [
            Input::of('height', $tall, Unit::Centimetre, Source::garden(From::ByEye)),
            Input::of('first', $first, Unit::Centimetre, $source),
            Input::of('base', self::FIRST_KG_HA, Unit::KilogramPerHectare, $source),
            Input::of('further', self::FURTHER_KG_HA_CM, Unit::KilogramPerHectareCentimetre, $source),
            Input::of('cover', $cover, Unit::Share, Source::garden(From::ByEye)),
        ], $source);
        $area = $length->times($bed->width)->squareMetres;

        return new self($perHectare, Working::of(Sum::DryMatterOnBed, $perHectare->value * $area / 10000, Unit::Kilogram,
            'perHectare * area / 10000', [
            Input::of('perHectare', $perHectare->value, Unit::KilogramPerHectare, Source::garden(From::WorkingAbove)),
            Input::of('area', $area, Unit::SquareMetre, Source::garden(From::TheBed)),
        ], $source));
    }

    public function tonnesPerHectare(): float
    {
        return $this->perHectare->value / 1000;
    }

    public static function amount(float $tonnesPerHectare): ResidueAmount
    {
        return match (true) {
            $tonnesPerHectare < self::LIGHT => ResidueAmount::Light,
            $tonnesPerHectare <= self::HEAVY => ResidueAmount::Middling,
            default => ResidueAmount::Heavy,
        };
    }

    /** Dry matter in tonnes a hectare of a stand that was ended so long after it was sown: as a share of its full days. */
    public static function grown(Crop $crop, Length $width, Day $sow, Day $ended): float
    {
        $share = min(1.0, max(0, $ended->since($sow)) / max(1, $crop->timing->daysSown ?? 1));

        return $crop->produce->perMetre * 0.1 * $share / $width->metres() * 10;
    }

    /** The first day the bed can be made ready for what follows a green manure. */
    public static function restedBy(Crop $crop, Length $width, Day $sow, Day $ended, float $latitude): Day
    {
        return $ended->plus(self::restDays(self::grown($crop, $width, $sow, $ended), $ended->plus(self::USUAL_REST), $latitude));
    }

    /** Days from ending it until the bed can be planted. */
    public static function restDays(float $tonnesPerHectare, Day $planting, float $latitude): int
    {
        return self::REST_DAYS[BedSeason::on($planting, $latitude)->value] + match (self::amount($tonnesPerHectare)) {
            ResidueAmount::Light => -self::WEEK, ResidueAmount::Heavy => self::WEEK, ResidueAmount::Middling => 0,
        };
    }

    /**
     * Passes with a shallow tool to break it down: more where there is more of it, or the weeks ahead are wet (common
     * practice, no source).
     */
    public static function passes(float $tonnesPerHectare, bool $isWet): int
    {
        return match (self::amount($tonnesPerHectare)) {
            ResidueAmount::Light => 1, ResidueAmount::Heavy => 3, ResidueAmount::Middling => 2,
        } + (int) $isWet;
    }
}
