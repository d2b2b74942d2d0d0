<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * What frost does to a crop. Degrees C are from memory of growers' and handbook lists, two either way, some turned until
 * the seasons growers know came out (docs/timing.md).
 */
final readonly class Cold
{
    /** A soft plant is killed at this share of the frost a hardened one bears (own model). */
    public const SOFT = 0.65;
    /** Hardened by days below this mean, fully so many degrees below it. */
    private const HARDENS_BELOW = 14.0;
    private const HARDENED_BY = 8.0;
    /** What comes again counts so much of the odds in this first share of its days; its tops count until that one. */
    public const COMES_AGAIN_ODDS = 0.3;
    public const COMES_AGAIN_UNTIL = 0.4;
    public const TOPS_UNTIL = 0.95;
    /** So long a young plant has its own limit, as a share of its days. */
    public const YOUNG_UNTIL = 0.3;

    /**
     * @param float      $kill       of a hardened plant, degrees C
     * @param float|null $hurt       what is harvested is spoiled, degrees C; null: not before it is killed
     * @param float|null $hurtFrom   share of its days from which a spoiled head or flower is a lost crop; null: in harvest only
     * @param float|null $youngKill  of a plant with its growing point in the ground, degrees C; null: as later
     * @param bool       $comesAgain tops frozen early grow again
     */
    public function __construct(
        public float $kill,
        public ?float $hurt = null,
        public ?float $hurtFrom = null,
        public ?float $youngKill = null,
        public bool $comesAgain = false,
    ) {
    }

    /** How hardened a plant is after two weeks of that mean, from nought to one. */
    public static function hardened(float $meanOfTwoWeeks): float
    {
        return min(1.0, max(0.0, (self::HARDENS_BELOW - $meanOfTwoWeeks) / self::HARDENED_BY));
    }

    /** Degrees C that kill a plant as hardened as that. */
    public static function killsAt(float $kill, float $hardened): float
    {
        return self::SOFT * $kill + $hardened * (1 - self::SOFT) * $kill;
    }
}
