<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * How fast a crop develops at a temperature, from nought to one: the beta function of Yan & Hunt (1999, Annals of
 * Botany 84: 607-614) with three cardinal temperatures.
 */
final readonly class TemperatureResponse
{
    /** The day's course is taken at so many moments. */
    private const MOMENTS = 6;

    /** @param float $least, $best, $most degrees C */
    public function __construct(public float $least, public float $best, public float $most)
    {
    }

    public function at(float $t): float
    {
        if ($t <= $this->least || $t >= $this->most) {
            return 0.0;
        }

        return ($this->most - $t) / ($this->most - $this->best) * (($t - $this->least) / ($this->best - $this->least)) ** (($this->best - $this->least) / ($this->most - $this->best));
    }

    /** Mean over a day whose temperature goes in a sine from minimum to maximum and back. */
    public function overDay(float $min, float $max): float
    {
        $sum = 0.0;
        for ($i = 0; $i < self::MOMENTS; ++$i) {
            $sum += $this->at(($min + $max) / 2 + ($max - $min) / 2 * cos(\M_PI * ($i + 0.5) / self::MOMENTS));
        }

        return $sum / self::MOMENTS;
    }
}
