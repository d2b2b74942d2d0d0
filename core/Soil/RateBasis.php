<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Land\Bed;

/** What a hectare of a table of needs is: of beds alone, or of ground with its paths, which all goes on the beds. */
enum RateBasis: string
{
    case Beds = 'beds';
    case Ground = 'ground';

    public function times(Bed $bed): float
    {
        return self::Beds === $this ? 1.0 : ($bed->width->micrometres + $bed->path->micrometres) / max(1, $bed->width->micrometres);
    }
}
