<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\DayLength;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/**
 * What stands against a sowing at one place: soil too cold, frost, what makes it bolt, heat, too little light.
 * The limits are the crop's own from the book; that ten hours of day are the least plants grow in is common practice.
 */
final class SowingRisks
{
    /** Longer than this from sowing to emergence is a risk to the seed, days (common practice, no source). */
    private const SLOW_EMERGENCE = 25;
    /** Days colder than this turn a plant towards flowering, degrees C (common practice, no source). */
    private const COLD = 7.0;
    private const WEEK = 7;
    private const LEAST_HOURS = 10.0;
    /** Bulbs smaller than this share of the usual are told. */
    private const SMALL = 0.8;

    /** @var array<int, float> hours by day number */
    private array $hours = [];
    /** @var array<int, float|null> mean of the air by day number */
    private array $air = [];

    public function __construct(private readonly Garden $garden, private readonly Crop $crop, private readonly Method $method,
        private readonly PlaceType $place, private readonly CoverCalendar $covers, private readonly LocalTiming $timing)
    {
    }

    /** @return array<string, Message> by Risk */
    public function of(int $sow, ?Ripeness $ripe): array
    {
        if (null === $ripe) {
            return array_filter([
                Risk::ColdSoil->value => Method::Sown === $this->method ? $this->cold($sow) : null,
                Risk::Frost->value => Message::of($this->crop->tender ? Against::FrostEndsIt : Against::NotReadyInTime),
            ]);
        }

        return array_filter([
            Risk::Season->value => $this->season($ripe),
            Risk::ColdSoil->value => $this->soil($ripe),
            Risk::Frost->value => FrostWarning::of($this->garden, $this->crop, $this->covers, $ripe)[0] ?? null,
            Risk::Bolting->value => $this->bolting($ripe),
            Risk::Heat->value => $this->heat($ripe),
            Risk::LittleLight->value => $this->light($ripe),
            Risk::Small->value => $ripe->size < self::SMALL ? Message::of(Against::SmallBulbs, share: Quantity::of($ripe->size,
                Unit::Share)) : null,
        ]);
    }

    private function season(Ripeness $ripe): ?Message
    {
        return true === $this->garden->season($this->crop, $this->place)?->contains(Day::of($ripe->ground)) ? null
            : Message::of(Against::OutOfSeason);
    }

    private function soil(Ripeness $ripe): ?Message
    {
        $isSlow = Method::Sown === $this->method && $ripe->emerges - $ripe->sow > self::SLOW_EMERGENCE;

        return $this->cold($ripe->ground) ?? ($isSlow ? Message::of(Against::SeedMayRot) : null);
    }

    private function cold(int $day): ?Message
    {
        $least = $this->crop->habits->soilLeast;
        $soil = $this->timing->soilOn($day, $this->covers);

        return null === $soil || $soil >= $least ? null
            : Message::of(Against::ColdSoil, soil: Quantity::of(round($soil), Unit::Celsius), least: Quantity::of($least, Unit::Celsius));
    }

    private function bolting(Ripeness $ripe): ?Message
    {
        $bolting = $this->crop->habits->bolting;
        if ($this->crop->growth->anchored) {
            return null;
        }
        if (null !== $bolting->coldDays && $this->coldDays(max($ripe->emerges, $ripe->ground), $ripe->ready) >= $bolting->coldDays) {
            return Message::of(Against::BoltsFromCold, days: $bolting->coldDays, below: Quantity::of(self::COLD, Unit::Celsius));
        }

        return null !== $bolting->dayHours && $this->hours($ripe->ready) >= $bolting->dayHours
            ? Message::of(Against::BoltsFromLongDays, hours: Quantity::of($bolting->dayHours, Unit::Hour)) : null;
    }

    private function coldDays(int $from, int $until): int
    {
        $cold = 0;
        for ($day = $from; $day < $until; ++$day) {
            $cold += ($this->air($day) ?? self::COLD) < self::COLD ? 1 : 0;
        }

        return $cold;
    }

    private function heat(Ripeness $ripe): ?Message
    {
        $heat = $this->crop->habits->bolting->heat;
        $run = 0;
        for ($day = $ripe->ground; null !== $heat && $day <= $ripe->ready; ++$day) {
            $run = ($this->air($day) ?? 0.0) >= $heat ? $run + 1 : 0;
            if ($run >= self::WEEK) {
                return Message::of(Against::HotWeek, mean: Quantity::of($heat, Unit::Celsius));
            }
        }

        return null;
    }

    private function light(Ripeness $ripe): ?Message
    {
        $dark = 0;
        for ($day = $ripe->ground; !$this->crop->growth->anchored && $day < $ripe->ready; ++$day) {
            $dark += $this->hours($day) < self::LEAST_HOURS ? 1 : 0;
        }

        return $dark >= self::WEEK ? Message::of(Against::StandsStill, days: $dark) : null;
    }

    private function hours(int $day): float
    {
        return $this->hours[$day] ??= DayLength::hours($this->garden->place->latitude, Day::of($day));
    }

    private function air(int $day): ?float
    {
        return $this->air[$day] ??= $this->timing->airOn($day, $this->covers);
    }
}
