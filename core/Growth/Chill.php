<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/** A biennial runs to seed after a winter: so many chill days, then so much warmth in lengthening days. Own model. */
final readonly class Chill
{
    /** Chill counts once this share of its days is done. */
    public const COUNTS_FROM = 0.25;
    /** Warmth above this counts, degrees C, from days of so many hours on, fully so many hours later. */
    private const BASE = 5.0;
    private const HOURS_FROM = 9.0;
    private const HOURS_SPAN = 3.0;

    /**
     * @param float $days   chill days it takes
     * @param float $warmth degree days after which it runs to seed
     */
    public function __construct(public float $days, public float $warmth)
    {
    }

    /** Share of a chill day that a day of this mean is: none at -2 and at 14 degrees C, whole from 2 to 8. */
    public static function ofADay(float $mean): float
    {
        return match (true) {
            $mean <= -2.0, $mean >= 14.0 => 0.0,
            $mean < 2.0 => ($mean + 2.0) / 4.0,
            $mean <= 8.0 => 1.0,
            default => (14.0 - $mean) / 6.0,
        };
    }

    /** Degree days of one day towards seed. */
    public static function towardsSeed(float $mean, float $hours): float
    {
        return max(0.0, $mean - self::BASE) * min(1.0, max(0.0, ($hours - self::HOURS_FROM) / self::HOURS_SPAN));
    }
}
