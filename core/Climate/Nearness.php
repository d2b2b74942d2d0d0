<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** How near the sea a place lies: it evens out the year and the day. */
enum Nearness: string
{
    case Coast = 'coast';
    case Between = 'between';
    case FarInland = 'far-inland';

    /** The yearly range, as a multiple of the one in between. */
    public function range(): float
    {
        return match ($this) {
            self::Coast => 0.6,
            self::Between => 1.0,
            self::FarInland => 1.2,
        };
    }

    /** Degrees C between night and day. */
    public function ofADay(): float
    {
        return match ($this) {
            self::Coast => 6.0,
            self::Between => 10.0,
            self::FarInland => 13.0,
        };
    }
}
