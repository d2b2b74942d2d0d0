<?php

declare(strict_types=1);

namespace App\Change;

use App\Codec\PlantingCodec;
use JollyFurrow\Planting\Planting;

/** A short mark of a planting as it stands, carried by forms to see whether somebody changed it meanwhile. */
final class PlantingMark
{
    public static function of(Planting $planting): string
    {
        return hash('xxh128', json_encode(PlantingCodec::values($planting), \JSON_THROW_ON_ERROR));
    }
}
