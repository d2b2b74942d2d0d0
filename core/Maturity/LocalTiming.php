<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\DayLength;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Growth\Growth;
use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Time\Day;

/** The ripening of every crop at one place, each worked out once; what crops have in common is shared. */
final class LocalTiming
{
    /** @var array<string, Ripening> */
    private array $ripening = [];
    /** @var array<string, Weather> by cover */
    private array $under = [];
    /** @var array<string, list<float>> by cover */
    private array $soil = [];
    /** @var array<string, list<float>> by cardinal temperatures, reference and cover */
    private array $warmth = [];
    /** @var array<string, list<float>> the same */
    private array $development = [];
    /** @var array<string, list<float>> the same */
    private array $ageing = [];
    /** @var array<string, list<float>> by cover */
    private array $cold = [];

    /** @var array<int, float> by day number */
    private array $hours = [];

    public function __construct(public readonly Weather $weather)
    {
    }

    public function of(Crop $crop, Cover|CoverCalendar $cover): Ripening
    {
        $covers = $cover instanceof Cover ? CoverCalendar::always($cover) : $cover;

        // By the object: two books may know one crop by other values.
        return $this->ripening[spl_object_id($crop).'/'.$covers->key()] ??= new Ripening($crop, $this, $covers);
    }

    /** @return list<float> catalogue days made by warmth and light, summed up before each day */
    public function development(Growth $growth, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->development[$cover->value.self::group($growth)] ??= GrowthSums::development($this->warmth($growth, $cover),
            $this->under($cover)->light));
    }

    /** @return list<float> the same for a fit crop, which ages by warmth alone */
    public function ageing(Growth $growth, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->ageing[$cover->value.self::group($growth)] ??= GrowthSums::ageing($this->warmth($growth, $cover)));
    }

    /** @return list<float> the same for the way to emergence */
    public function emergence(Crop $crop, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => GrowthSums::emergence($crop->growth->emergence, $this->under($cover),
            $this->soil($cover), $crop->stand->depth->millimetres / 10));
    }

    /** Mean of the soil at seed depth on a day, degrees C; null: beyond the days that are known. */
    public function soilOn(int $day, CoverCalendar $covers): ?float
    {
        return $this->soil($covers->at($day))[$day - $this->weather->first] ?? null;
    }

    /** Mean of the air on a day, degrees C; null: beyond the days that are known. */
    public function airOn(int $day, CoverCalendar $covers): ?float
    {
        $under = $this->under($covers->at($day));
        $i = $day - $this->weather->first;

        return isset($under->min[$i]) ? ($under->min[$i] + $under->max[$i]) / 2 : null;
    }

    /** @return list<float> */
    private function soil(Cover $cover): array
    {
        return $this->soil[$cover->value] ??= $this->under($cover)->soil();
    }

    /**
     * Sums that grow from day to day by what each day's own cover makes of it.
     *
     * @param callable(Cover): list<float> $sums
     *
     * @return list<float>
     */
    private function along(CoverCalendar $covers, callable $sums): array
    {
        $along = $base = $sums($covers->base);
        if ([] === $covers->spans) {
            return $base;
        }
        for ($i = 1, $n = \count($base); $i < $n; ++$i) {
            $cover = $covers->at($this->weather->first + $i - 1);
            $under = $cover === $covers->base ? $base : $sums($cover);
            $along[$i] = $along[$i - 1] + $under[$i] - $under[$i - 1];
        }

        return array_values($along);
    }

    /** Hours of daylight. */
    public function hoursOn(int $day): float
    {
        return $this->hours[$day] ??= DayLength::hours($this->weather->latitude, Day::of($day));
    }

    /** @return list<float> development of seedlings on the bench */
    public function bench(Growth $growth): array
    {
        $bench = $this->under['bench'] ??= $this->weather->onTheBench();

        return $this->development['bench'.self::group($growth)] ??= GrowthSums::seedlings(GrowthSums::warmth($growth, $bench->min,
            $bench->max), $bench->light);
    }

    /** @return list<float> nights so cold that tender crops have usually been frozen by then, counted up before each day */
    public function coldNights(CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->cold[$cover->value] ??= GrowthSums::coldNights($this->under($cover)->min));
    }

    private function under(Cover $cover): Weather
    {
        return $this->under[$cover->value] ??= $this->weather->under($cover);
    }

    /** @return list<float> */
    private function warmth(Growth $growth, Cover $cover): array
    {
        return $this->warmth[$cover->value.self::group($growth)] ??= GrowthSums::warmth($growth, $this->under($cover)->min,
            $this->under($cover)->max);
    }

    private static function group(Growth $growth): string
    {
        return \sprintf('/%s/%s/%s/%s', $growth->temperature->least, $growth->temperature->best, $growth->temperature->most,
            $growth->reference);
    }
}
