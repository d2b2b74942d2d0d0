<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Time\Day;

/** Names of plantings: item, sowing day, number. */
final class PlantingKey
{
    /** @param array<string, mixed> $taken by key */
    public static function free(string $item, Day $sow, array $taken): string
    {
        $number = 0;
        do {
            $key = \sprintf('%s@%s#%d', $item, $sow->iso(), ++$number);
        } while (isset($taken[$key]));

        return $key;
    }
}
