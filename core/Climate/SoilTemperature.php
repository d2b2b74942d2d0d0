<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/**
 * A day of bare soil at seed depth: morning low, mean, afternoon high. The mean follows the air (see Weather::soil());
 * the swing is the air's, damped with depth (own model: by a factor e every ten centimetres, and a tenth more at the
 * surface in the sun).
 */
final readonly class SoilTemperature
{
    private const DAMPING_CM = 10.0;
    public const SUN = 1.1;

    private function __construct(public float $low, public float $mean, public float $high)
    {
    }

    public static function of(float $mean, float $airMin, float $airMax, float $depthCm): self
    {
        $swing = ($airMax - $airMin) / 2 * self::damping($depthCm);

        return new self($mean - $swing, $mean, $mean + self::SUN * $swing);
    }

    /** Share of the air's swing that is left at a depth. */
    public static function damping(float $depthCm): float
    {
        return exp(-$depthCm / self::DAMPING_CM);
    }
}
