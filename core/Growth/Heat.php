<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * Days or nights so hot that leaves turn bitter, roots stay pale, flowers drop and tubers do not set: a loss by the
 * share of such days, never a ban. Limits are own model from what growers know.
 */
final readonly class Heat
{
    /** Where even the best days of the year have more of them, it is not usual there. */
    public const TOO_MANY = 0.92;
    public const TOO_MANY_FRUIT = 0.98;
    /** A sowing may have so many of them, or, where the place has no better, a share more than its best. */
    public const MANY = 0.6;
    /** Without a share of its own it matters from here to the end. */
    public const LAST_FROM = 0.65;
    private const BESIDE_BEST = 0.33;
    private const OF_BEST = 0.8;
    private const BESIDE_BEST_TUBERS = 0.2;
    private const OF_BEST_TUBERS = 0.88;
    /** Share of the crop such days cost: flowers and tubers, leaves and roots. */
    public const COSTS_FLOWERS = 0.6;
    public const COSTS_LEAVES = 0.3;

    /**
     * @param float      $day    warmest of the day, degrees C
     * @param float|null $night  coldest of the night; null: nights do not matter
     * @param int        $lag    days until it is felt in the harvest
     * @param float      $from   share of its days in which it matters
     * @param float      $to     until this one
     * @param float|null $pause  harvest stands still while so great a share of days is like that; null: it does not
     * @param bool       $fruit  it takes flowers or fruit
     * @param bool       $tubers it hinders tubers from setting
     * @param bool       $rules  its share decides what is usual; false: only what it costs
     */
    public function __construct(
        public float $day,
        public ?float $night,
        public int $lag,
        public float $from,
        public float $to,
        public ?float $pause,
        public bool $fruit,
        public bool $tubers,
        public bool $rules = true,
    ) {
    }

    /** Share of hot days a sowing may have where the best of the year has so many. */
    public function atMost(float $best): float
    {
        return $this->tubers ? max(self::MANY, self::BESIDE_BEST_TUBERS + self::OF_BEST_TUBERS * $best)
            : max(self::MANY, self::BESIDE_BEST + self::OF_BEST * $best);
    }

    public function isTooMuch(float $best): bool
    {
        return $best > ($this->fruit ? self::TOO_MANY_FRUIT : self::TOO_MANY);
    }

    /** Share of the crop lost where so many days are hot. */
    public function loss(float $share): float
    {
        return ($this->fruit || $this->tubers ? self::COSTS_FLOWERS : self::COSTS_LEAVES) * $share;
    }
}
