<?php

declare(strict_types=1);

namespace App\Station;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Temperature;
use JollyFurrow\Time\Day;

/** A reading as it is typed; what was not read off stays as the station said, or as the normals have it. */
final class ReadingData
{
    public ?Temperature $min = null;
    public ?Temperature $max = null;
    /** Millimetres. */
    public ?Quantity $rain = null;

    public function __construct(public Day $day)
    {
    }

    public function isEmpty(): bool
    {
        return null === $this->min && null === $this->max && null === $this->rain;
    }

    /** @return array{int, float, float, float|null} day, minimum and maximum °C, rain mm */
    public function row(?PlaceClimate $climate): array
    {
        $day = $this->day->number;
        $i = Climate::index($this->day);
        $was = $climate?->measured;

        return [
            $day,
            $this->min->celsius ?? $was->min[$day] ?? $climate->climate->min[$i] ?? 0.0,
            $this->max->celsius ?? $was->max[$day] ?? $climate->climate->max[$i] ?? 0.0,
            $this->rain->value ?? $was->rain[$day] ?? null,
        ];
    }
}
