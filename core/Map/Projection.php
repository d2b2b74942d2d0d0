<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

/**
 * Degrees as metres on a sheet as small as a garden: a degree of latitude has the same length everywhere, one of longitude that
 * times the cosine of the latitude (equirectangular; mean radius of the earth 6,371,008.8 m: IUGG). Over a kilometre it is out by
 * less than a centimetre in a metre.
 */
final readonly class Projection
{
    private const RADIUS = 6_371_008.8;

    /** @param float $longitude of the corner, degrees */
    public function __construct(private float $longitude, private float $latitude)
    {
    }

    /** @return array{float, float} metres east and north of the corner */
    public function metres(float $longitude, float $latitude): array
    {
        return [deg2rad($longitude - $this->longitude) * self::RADIUS * cos(deg2rad($this->latitude)),
            deg2rad($latitude - $this->latitude) * self::RADIUS];
    }

    /** @return array{float, float} longitude and latitude in degrees */
    public function degrees(float $east, float $north): array
    {
        return [$this->longitude + rad2deg($east / self::RADIUS / cos(deg2rad($this->latitude))),
            $this->latitude + rad2deg($north / self::RADIUS)];
    }
}
