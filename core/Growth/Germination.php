<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

use JollyFurrow\Climate\SoilTemperature;

/** Share of seeds that germinate, by the temperature of the soil. */
final readonly class Germination
{
    /** Below this more seed is sown, and it is said. */
    public const MORE_SEED_BELOW = 0.8;
    /** And below this it is not sown, unless the book says otherwise. */
    public const LEAST = 0.35;

    /**
     * @param non-empty-array<int, float> $shares by degrees C, rising
     * @param float                       $least  below this it is not worth sowing
     */
    public function __construct(public array $shares, public float $least)
    {
    }

    /** A quarter of the day at the soil's low, a half at its mean, a quarter at its high. */
    public function over(SoilTemperature $soil): float
    {
        return ($this->at($soil->low) + 2 * $this->at($soil->mean) + $this->at($soil->high)) / 4;
    }

    public function at(float $t): float
    {
        $before = [0, 0.0];
        $isFirst = true;
        foreach ($this->shares as $at => $share) {
            if ($t <= $at) {
                return $isFirst ? $share : $before[1] + ($t - $before[0]) / ($at - $before[0]) * ($share - $before[1]);
            }
            [$before, $isFirst] = [[$at, $share], false];
        }

        return $before[1];
    }
}
