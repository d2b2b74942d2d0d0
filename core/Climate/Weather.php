<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Time\Day;

/**
 * The days of some years at a place, one after the other: measured where they have been measured, normal where not.
 * Plain numbers, for the growth sums.
 */
final readonly class Weather
{
    /** Soil follows the air of so many days (after Zheng, Hunt & Running 1993: the mean of the last eleven). */
    private const SOIL_DAYS = 11;
    /** The nursery: not below at night and by day, warmer than outside by, aired above, degrees C; share of the light. */
    private const BENCH_NIGHT = 9.0;
    private const BENCH_DAY = 16.0;
    private const BENCH_WARMER_NIGHT = 4.0;
    private const BENCH_WARMER_DAY = 5.0;
    private const BENCH_AIRED = 26.0;
    private const BENCH_LIGHT = 0.75;

    /**
     * @param int         $first day number of entry 0
     * @param list<float> $min   degrees C, in the open
     * @param list<float> $max
     * @param list<float> $light MJ m-2, in the open
     */
    private function __construct(public float $latitude, public int $first, public array $min, public array $max, public array $light)
    {
    }

    public static function of(Climate $climate, float $latitude, Day $from, int $days, ?DailyRecord $measured = null): self
    {
        $min = $max = $light = $lightByIndex = [];
        for ($n = 0; $n < $days; ++$n) {
            $day = $from->plus($n);
            $i = Climate::index($day);
            $min[] = $measured->min[$day->number] ?? $climate->min[$i];
            $max[] = $measured->max[$day->number] ?? $climate->max[$i];
            $light[] = $lightByIndex[$i] ??= DailyLight::atGround($latitude, $day);
        }

        return new self($latitude, $from->number, $min, $max, $light);
    }

    public function days(): int
    {
        return \count($this->min);
    }

    /** The same days under a cover. */
    public function under(Cover $cover): self
    {
        if (Cover::None === $cover) {
            return $this;
        }
        $min = $max = $light = [];
        foreach ($this->min as $n => $night) {
            $min[] = $low = max($cover->floor(), $night + $cover->atNight());
            $max[] = max($low, $this->max[$n], min($cover->airedAbove(), $this->max[$n] + $cover->byDay()));
            $light[] = $this->light[$n] * $cover->light();
        }

        return new self($this->latitude, $this->first, $min, $max, $light);
    }

    /** The same days in the small heated nursery: kept from the cold, aired in heat, behind glass (own model). */
    public function onTheBench(): self
    {
        $min = $max = $light = [];
        foreach ($this->min as $n => $low) {
            $min[] = $night = max(self::BENCH_NIGHT, $low + self::BENCH_WARMER_NIGHT);
            $max[] = max($night, min(max($this->max[$n], self::BENCH_AIRED),
                max(self::BENCH_DAY, $this->max[$n] + self::BENCH_WARMER_DAY)));
            $light[] = $this->light[$n] * self::BENCH_LIGHT;
        }

        return new self($this->latitude, $this->first, $min, $max, $light);
    }

    /**
     * Mean of the bare soil at seed depth, by day: the eleven-day running mean of the air.
     *
     * @return list<float>
     */
    public function soil(): array
    {
        $soil = $window = [];
        $sum = 0.0;
        foreach ($this->min as $n => $min) {
            $mean = ($min + $this->max[$n]) / 2;
            $window[] = $mean;
            $sum += $mean;
            if ($n >= self::SOIL_DAYS) {
                $sum -= $window[$n - self::SOIL_DAYS];
            }
            $soil[] = $sum / min(self::SOIL_DAYS, $n + 1);
        }

        return $soil;
    }
}
