<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Shelter\Bench;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Time\Day;

/**
 * The days of some years at a place, one after the other: measured where they have been measured, normal where not.
 * Plain numbers, for the growth sums.
 */
final readonly class Weather
{
    /** Soil follows the air of so many days (after Zheng, Hunt & Running 1993: the mean of the last eleven). */
    private const SOIL_DAYS = 11;
    /** The nursery: warmer than outside by, aired above, degrees C; share of the light. */
    private const BENCH_WARMER_NIGHT = 4.0;
    private const BENCH_WARMER_DAY = 5.0;
    private const BENCH_AIRED = 26.0;
    private const BENCH_LIGHT = 0.75;

    /** Soil in the sun is warmer than its air, up to so much: degrees for each MJ m-2 of light above some (own model). */
    private const SUN_FROM = 5.0;
    private const SUN_WARMS = 0.12;
    private const SUN_MOST = 2.5;

    /**
     * @param int         $first  day number of entry 0
     * @param list<float> $min    degrees C, in the open
     * @param list<float> $max
     * @param list<float> $light  MJ m-2, in the open
     * @param list<float> $nights spread of the nights around them, degrees C; 0: measured
     * @param list<float> $noons  the same of the days' warmest
     * @param list<int>   $ofYear place of a normal day in the year, by which what is made of it can be kept; -1: measured
     */
    private function __construct(public float $latitude, public int $first, public array $min, public array $max, public array $light,
        public array $nights, public array $noons, public array $ofYear)
    {
    }

    public static function of(Climate $climate, float $latitude, Day $from, int $days, ?DailyRecord $measured = null): self
    {
        $min = $max = $light = $nights = $noons = $ofYear = $outside = [];
        for ($n = 0; $n < $days; ++$n) {
            $day = $from->plus($n);
            $i = Climate::index($day);
            $isMeasured = isset($measured->min[$day->number], $measured->max[$day->number]);
            $min[] = $low = $measured->min[$day->number] ?? $climate->min[$i];
            $max[] = $high = $measured->max[$day->number] ?? $climate->max[$i];
            $light[] = DailyLight::clearness($low, $high) * $outside[$i] ??= DailyLight::extraterrestrial($latitude, $day);
            $nights[] = $isMeasured ? 0.0 : $climate->minSd[$i];
            $noons[] = $isMeasured ? 0.0 : $climate->maxSd[$i];
            $ofYear[] = $isMeasured ? -1 : $i;
        }

        return new self($latitude, $from->number, $min, $max, $light, $nights, $noons, $ofYear);
    }

    public function days(): int
    {
        return \count($this->min);
    }

    /** The same days where cold air gathers: nights so many degrees colder than where the climate was measured; readings are the garden's own. */
    public function inHollow(int $colder): self
    {
        return 0 === $colder ? $this : new self($this->latitude, $this->first, array_map(static fn (float $night,
            float $spread): float => 0.0 === $spread ? $night : $night - $colder, $this->min, $this->nights), $this->max, $this->light, $this->nights, $this->noons,
            $this->ofYear);
    }

    /** The same days, each so many of its own spreads warmer or colder: for dates with odds. */
    public function shifted(float $spreads): self
    {
        $min = $max = [];
        foreach ($this->min as $n => $night) {
            $min[] = $night + $spreads * $this->nights[$n];
            $max[] = max(end($min), $this->max[$n] + $spreads * $this->noons[$n]);
        }

        return new self($this->latitude, $this->first, $min, $max, $this->light, $this->nights, $this->noons, $this->ofYear);
    }

    /** The same days under a cover. */
    public function under(Cover $cover): self
    {
        if (Cover::None === $cover) {
            return $this;
        }
        $min = $max = $light = [];
        foreach ($this->min as $n => $night) {
            $light[] = $under = $this->light[$n] * $cover->light();
            $min[] = $low = max($cover->floor(), $night + $cover->atNight());
            $max[] = max($low, $this->max[$n], min($cover->aired($this->max[$n]), $this->max[$n] + $cover->byDay($under)));
        }

        return new self($this->latitude, $this->first, $min, $max, $light, $this->nights, $this->noons, $this->ofYear);
    }

    /** The same days on a bench of the nursery (own model): never colder than it is kept, aired in heat, behind glass. */
    public function onTheBench(Bench $bench): self
    {
        $min = $max = $light = [];
        foreach ($this->min as $n => $low) {
            $min[] = $night = max($bench->night, $low + self::BENCH_WARMER_NIGHT);
            $max[] = max($night, $bench->day, min(max($this->max[$n], self::BENCH_AIRED), $this->max[$n] + self::BENCH_WARMER_DAY));
            $light[] = $this->light[$n] * self::BENCH_LIGHT;
        }

        return new self($this->latitude, $this->first, $min, $max, $light, $this->nights, $this->noons, $this->ofYear);
    }

    /**
     * Mean of the bare soil at seed depth, by day: the eleven-day running mean of the air, and what the sun adds.
     *
     * @return list<float>
     */
    public function soil(): array
    {
        $soil = [];
        foreach ($this->running(self::SOIL_DAYS) as $n => $mean) {
            $soil[] = $mean + min(self::SUN_MOST, self::SUN_WARMS * max(0.0, $this->light[$n] - self::SUN_FROM));
        }

        return $soil;
    }

    /**
     * Mean of the air over the last days, by day.
     *
     * @return list<float>
     */
    public function running(int $days): array
    {
        $running = $window = [];
        $sum = 0.0;
        foreach ($this->min as $n => $min) {
            $window[] = $mean = ($min + $this->max[$n]) / 2;
            $sum += $mean - ($window[$n - $days] ?? 0.0);
            $running[] = $sum / min($days, $n + 1);
        }

        return $running;
    }
}
