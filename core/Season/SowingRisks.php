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
use JollyFurrow\Time\Day;

/**
 * What stands against a sowing at one place, in words: soil too cold, frost, what makes it bolt, heat, too little light.
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

    public function __construct(private readonly Garden $garden, private readonly Crop $crop, private readonly Method $method, private readonly PlaceType $place, private readonly CoverCalendar $covers, private readonly LocalTiming $timing)
    {
    }

    /** @return array<string, string> in words, by Risk */
    public function of(int $sow, ?Ripeness $ripe): array
    {
        if (null === $ripe) {
            return array_filter([Risk::ColdSoil->value => Method::Sown === $this->method ? $this->cold($sow) : '', Risk::Frost->value => $this->crop->tender ? 'frost ends it before it is ready' : 'it is not ready in time'], static fn (string $words): bool => '' !== $words);
        }

        return array_filter([
            Risk::Season->value => $this->season($ripe),
            Risk::ColdSoil->value => $this->soil($ripe),
            Risk::Frost->value => FrostWarning::of($this->garden, $this->crop, $this->covers, $ripe)[0] ?? '',
            Risk::Bolting->value => $this->bolting($ripe),
            Risk::Heat->value => $this->heat($ripe),
            Risk::LittleLight->value => $this->light($ripe),
            Risk::Small->value => $ripe->size < self::SMALL ? \sprintf('bulbs of %d %% of the usual size: long days come before it has its leaves', (int) round(100 * $ripe->size)) : '',
        ], static fn (string $words): bool => '' !== $words);
    }

    private function season(Ripeness $ripe): string
    {
        return true === $this->garden->season($this->crop, $this->place)?->contains(Day::of($ripe->ground)) ? '' : 'out of its season here';
    }

    private function soil(Ripeness $ripe): string
    {
        $cold = $this->cold($ripe->ground);
        if ('' !== $cold) {
            return $cold;
        }

        return Method::Sown === $this->method && $ripe->emerges - $ripe->sow > self::SLOW_EMERGENCE ? 'the soil is too cold: the seed may rot' : '';
    }

    private function cold(int $day): string
    {
        $least = $this->crop->habits->soilLeast;
        $soil = $this->timing->soilOn($day, $this->covers);

        return null !== $soil && $soil < $least ? \sprintf('the soil has %s °C, it wants %s', number_format($soil, 0), $least) : '';
    }

    private function bolting(Ripeness $ripe): string
    {
        $bolting = $this->crop->habits->bolting;
        if ($this->crop->growth->anchored) {
            return '';
        }
        if (null !== $bolting->coldDays && $this->coldDays(max($ripe->emerges, $ripe->ground), $ripe->ready) >= $bolting->coldDays) {
            return \sprintf('it may bolt: %d days and more below %s °C', $bolting->coldDays, self::COLD);
        }

        return null !== $bolting->dayHours && $this->hours($ripe->ready) >= $bolting->dayHours ? \sprintf('it may bolt: days of %s hours and more', $bolting->dayHours) : '';
    }

    private function coldDays(int $from, int $until): int
    {
        $cold = 0;
        for ($day = $from; $day < $until; ++$day) {
            $cold += ($this->air($day) ?? self::COLD) < self::COLD ? 1 : 0;
        }

        return $cold;
    }

    private function heat(Ripeness $ripe): string
    {
        $heat = $this->crop->habits->bolting->heat;
        $run = 0;
        for ($day = $ripe->ground; null !== $heat && $day <= $ripe->ready; ++$day) {
            $run = ($this->air($day) ?? 0.0) >= $heat ? $run + 1 : 0;
            if ($run >= self::WEEK) {
                return \sprintf('a week with a mean of %s °C: it bolts or sets badly', $heat);
            }
        }

        return '';
    }

    private function light(Ripeness $ripe): string
    {
        $dark = 0;
        for ($day = $ripe->ground; !$this->crop->growth->anchored && $day < $ripe->ready; ++$day) {
            $dark += $this->hours($day) < self::LEAST_HOURS ? 1 : 0;
        }

        return $dark >= self::WEEK ? \sprintf('it stands still for %d days shorter than ten hours', $dark) : '';
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
