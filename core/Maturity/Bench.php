<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** The small heated nursery: kept from the cold, aired in heat (own model). */
final class Bench
{
    private const NOT_BELOW_AT_NIGHT = 9.0;
    private const NOT_BELOW_BY_DAY = 16.0;
    private const AIRED_ABOVE = 26.0;
    private const WARMER_AT_NIGHT = 4.0;
    private const WARMER_BY_DAY = 5.0;
    private const LIGHT = 0.75;

    /** @return array{float, float, float} minimum, maximum, light */
    public static function day(float $min, float $max, float $light): array
    {
        $night = max(self::NOT_BELOW_AT_NIGHT, $min + self::WARMER_AT_NIGHT);

        return [$night, max($night, min(self::AIRED_ABOVE, max(self::NOT_BELOW_BY_DAY, $max + self::WARMER_BY_DAY), max($max, self::AIRED_ABOVE))), $light * self::LIGHT];
    }
}
