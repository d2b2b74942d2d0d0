<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Crop\Crop;

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

    public function __construct(public readonly Weather $weather)
    {
    }

    public function of(Crop $crop, Cover $cover): Ripening
    {
        return $this->ripening[$crop->key.'/'.$cover->value] ??= new Ripening($crop, $this, $cover);
    }

    /** @return list<float> catalogue days made by warmth and light, summed up before each day */
    public function development(Growth $growth, Cover $cover): array
    {
        $key = $cover->value.self::group($growth);

        return $this->development[$key] ??= GrowthSums::development($this->warmth($growth, $cover), $this->under($cover)->light);
    }

    /** @return list<float> the same for a fit crop, which ages by warmth alone */
    public function ageing(Growth $growth, Cover $cover): array
    {
        $key = $cover->value.self::group($growth);

        return $this->ageing[$key] ??= GrowthSums::ageing($this->warmth($growth, $cover));
    }

    /** @return list<float> the same for the way to emergence */
    public function emergence(Crop $crop, Cover $cover): array
    {
        $this->soil[$cover->value] ??= $this->under($cover)->soil();

        return GrowthSums::emergence($crop->growth->emergence, $this->under($cover), $this->soil[$cover->value], $crop->stand->depth->millimetres / 10);
    }

    /** @return list<float> development of seedlings on the bench */
    public function bench(Growth $growth): array
    {
        $bench = $this->under['bench'] ??= $this->weather->onTheBench();

        return $this->development['bench'.self::group($growth)] ??= GrowthSums::seedlings(GrowthSums::warmth($growth, $bench->min, $bench->max), $bench->light);
    }

    /** @return list<float> nights so cold that tender crops have usually been frozen by then, counted up before each day */
    public function coldNights(Cover $cover): array
    {
        return $this->cold[$cover->value] ??= GrowthSums::coldNights($this->under($cover)->min);
    }

    private function under(Cover $cover): Weather
    {
        return $this->under[$cover->value] ??= $this->weather->under($cover);
    }

    /** @return list<float> */
    private function warmth(Growth $growth, Cover $cover): array
    {
        return $this->warmth[$cover->value.self::group($growth)] ??= GrowthSums::warmth($growth, $this->under($cover)->min, $this->under($cover)->max);
    }

    private static function group(Growth $growth): string
    {
        return \sprintf('/%s/%s/%s/%s', $growth->temperature->least, $growth->temperature->best, $growth->temperature->most, $growth->reference);
    }
}
