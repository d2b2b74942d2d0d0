<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\SoilTemperature;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Growth\Growth;
use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Growth\Heat;
use JollyFurrow\Growth\LightResponse;
use JollyFurrow\Growth\LongDays;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;

/** The ripening of every crop at one place, each worked out once; what crops have in common is shared. */
final class LocalTiming
{
    private const TWO_WEEKS = 14;
    /** Days of the weather that lie before the year a place is judged by. */
    private const BACK = 60;
    public readonly Sun $sun;
    /** @var array<string, Ripening> */
    private array $ripening = [];
    /** @var array<string, self> by spreads */
    private array $shifted = [];
    /** @var array<string, Weather> by cover or bench */
    private array $under = [];
    /** @var array<string, list<float>> by what is summed or averaged, and cover */
    private array $lines = [];

    /** @param float $odds share of years in which a planting may go wrong and is planned all the same */
    private ?string $key = null;

    public function __construct(public readonly Weather $weather, public readonly float $odds = 0.1,
        public readonly Benches $benches = new Benches(), public readonly ?TimingMemory $memory = null)
    {
        $this->sun = new Sun($weather->latitude);
    }

    /** Of everything its answers follow from but the crop and the cover. */
    public function key(): string
    {
        return $this->key ??= md5(serialize([$this->weather, $this->odds, $this->benches]));
    }

    /** The same place in years so many spreads warmer or colder than usual. */
    public function shifted(float $spreads): self
    {
        return $this->shifted['by '.$spreads] ??= new self($this->weather->shifted($spreads), $this->odds, $this->benches);
    }

    /** First day of a year of days that are all known, and long enough before the last of them. */
    public function yearFrom(): int
    {
        return $this->weather->first + self::BACK;
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
        return $this->along($covers, fn (Cover $cover): array => $this->lines['development/'.$cover->value.self::group($growth)]
            ??= GrowthSums::development($this->warmth($growth, $cover), $this->under($cover)->light, $growth->light));
    }

    /** @return list<float> the same for a fit crop, which ages by warmth alone */
    public function ageing(Growth $growth, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['ageing/'.$cover->value.self::group($growth)]
            ??= GrowthSums::ageing($growth, $this->under($cover)));
    }

    /** @return list<float> the same for the way to emergence */
    public function emergence(Crop $crop, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => GrowthSums::emergence($crop->growth->emergence, $this->under($cover),
            $this->soil($cover), $crop->stand->depth->centimetres()));
    }

    /** @return list<float> minus the logarithm of the odds to live, for a plant killed at that frost when hardened; summed up */
    public function living(float $kill, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['living/'.$cover->value.'/'.$kill]
            ??= RiskSums::living($this->under($cover), $this->twoWeeks($cover), $kill));
    }

    /** @return list<float> minus the logarithm of the odds not to meet that frost; summed up */
    public function spared(float $limit, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['spared/'.$cover->value.'/'.$limit]
            ??= RiskSums::spared($this->under($cover), $limit));
    }

    /** @return list<float> share of hot days, summed up */
    public function hot(Heat $heat, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['hot/'.$cover->value.'/'.$heat->day.'/'.$heat->night]
            ??= RiskSums::hot($this->under($cover), $heat));
    }

    /** @return list<float> chill days, summed up */
    public function chill(CoverCalendar $covers, bool $isOverSpread = false): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['chill/'.$cover->value.'/'.(int) $isOverSpread]
            ??= RiskSums::chill($this->under($cover), $isOverSpread));
    }

    /** @return list<float> warmth of lengthening days that turns a chilled plant to seed, summed up */
    public function towardsSeed(CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['seed/'.$cover->value]
            ??= RiskSums::towardsSeed($this->under($cover), $this->hours(...)));
    }

    /** @return list<float> long warm days, summed up */
    public function longDays(LongDays $longDays, CoverCalendar $covers): array
    {
        return $this->along($covers, fn (Cover $cover): array => $this->lines['long/'.$cover->value.'/'.$longDays->key()]
            ??= RiskSums::longDays($this->under($cover), $longDays, $this->hours(...)));
    }

    /** @return list<float> mean of the air over the two weeks that end with each day, degrees C */
    public function twoWeeks(Cover $cover): array
    {
        return $this->lines['weeks/'.$cover->value] ??= $this->under($cover)->running(self::TWO_WEEKS);
    }

    /** Mean of the soil at seed depth on a day, degrees C; null: beyond the days that are known. */
    public function soilOn(int $day, CoverCalendar $covers): ?float
    {
        return $this->soil($covers->at($day))[$day - $this->weather->first] ?? null;
    }

    /** Low, mean and high of the soil at a depth; null: beyond the days that are known. */
    public function soilAt(int $day, CoverCalendar $covers, float $depthCm): ?SoilTemperature
    {
        $i = $day - $this->weather->first;
        $mean = $this->soilOn($day, $covers);
        $under = $this->under($covers->at($day));

        return null === $mean ? null : SoilTemperature::of($mean, $under->min[$i], $under->max[$i], $depthCm);
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
        return $this->lines['soil/'.$cover->value] ??= $this->under($cover)->soil();
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
        return $this->sun->hoursOn($day);
    }

    /** Hours of daylight, by entry of the weather. */
    private function hours(int $n): float
    {
        return $this->sun->hoursOn($this->weather->first + $n);
    }

    /** @return list<float> development of seedlings on their bench, summed up */
    public function bench(Growth $growth): array
    {
        $bench = LightResponse::Warm === $growth->light ? $this->benches->warm : $this->benches->cool;
        $under = $this->under['bench'.$bench->key()] ??= $this->weather->onTheBench($bench);
        $seedling = $growth->seedling();

        return $this->lines['bench/'.$bench->key().self::group($seedling)]
            ??= GrowthSums::development(GrowthSums::warmth($seedling, $under, 1.0), $under->light, LightResponse::Seedling);
    }

    private function under(Cover $cover): Weather
    {
        return $this->under[$cover->value] ??= $this->weather->under($cover);
    }

    /** @return list<float> */
    private function warmth(Growth $growth, Cover $cover): array
    {
        return $this->lines['warmth/'.$cover->value.self::group($growth)] ??= GrowthSums::warmth($growth, $this->under($cover));
    }

    private static function group(Growth $growth): string
    {
        return \sprintf('/%s/%s/%s/%s/%s', $growth->temperature->least, $growth->temperature->best, $growth->temperature->most,
            $growth->reference, $growth->light->value);
    }
}
