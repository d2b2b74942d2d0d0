<?php

declare(strict_types=1);

namespace App\Change;

use App\File\GardenWriter;
use JollyFurrow\Planting\Planting;

/** A short mark of a planting as it stands, carried by forms to see whether somebody changed it meanwhile. */
final class PlantingMark
{
    public static function of(Planting $planting): string
    {
        return hash('xxh128', json_encode(GardenWriter::planting($planting), \JSON_THROW_ON_ERROR));
    }
}
