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

    public function __construct(public readonly Weather $weather)
    {
    }

    public function of(Crop $crop, Cover $cover): Ripening
    {
        return $this->ripening[$crop->key.'/'.$cover->value] ??= new Ripening($crop, $this, $cover);
    }

    public function sums(Crop $crop, Cover $cover): GrowthSums
    {
        $under = $this->under[$cover->value] ??= $this->weather->under($cover);
        $soil = $this->soil[$cover->value] ??= $under->soil();
        $warmth = $this->warmth[$cover->value.self::group($crop->growth)] ??= GrowthSums::warmth($crop->growth, $under->min, $under->max);

        return GrowthSums::of($crop->growth->emergence, $under, $warmth, $soil, $crop->stand->depth->millimetres / 10);
    }

    public function bench(Crop $crop): GrowthSums
    {
        $bench = $this->under['bench'] ??= $this->weather->onTheBench();
        $warmth = $this->warmth['bench'.self::group($crop->growth)] ??= GrowthSums::warmth($crop->growth, $bench->min, $bench->max);

        return GrowthSums::inNursery($bench, $warmth);
    }

    private static function group(Growth $growth): string
    {
        return \sprintf('/%s/%s/%s/%s', $growth->temperature->least, $growth->temperature->best, $growth->temperature->most, $growth->reference);
    }
}
