<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * How far the light of a day lets a crop grow, from nought to one. Own model: nothing below a little, all above the
 * light of late summer, a straight line between, so that growth nearly rests in midwinter (growers' rule: below ten
 * hours of day plants hardly grow).
 */
final class LightResponse
{
    /** MJ m-2 a day at the leaf. */
    public const NOTHING_BELOW = 2.8;
    public const ALL_ABOVE = 14.0;
    /** Seedlings under glass are content with less. */
    private const SEEDLINGS_BELOW = 1.0;
    private const SEEDLINGS_ABOVE = 8.0;

    public static function at(float $light): float
    {
        return 1 - (1 - min(1.0, max(0.0, ($light - self::NOTHING_BELOW) / (self::ALL_ABOVE - self::NOTHING_BELOW)))) ** 2;
    }

    public static function ofSeedlings(float $light): float
    {
        return 1 - (1 - min(1.0, max(0.0, ($light - self::SEEDLINGS_BELOW) / (self::SEEDLINGS_ABOVE - self::SEEDLINGS_BELOW)))) ** 2;
    }
}
