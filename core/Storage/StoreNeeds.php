<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Working\Source;

/** How a crop keeps: its best warmth and air, how long it lasts there, and what it does to others. */
final readonly class StoreNeeds
{
    private const DRY = 80;
    /** What suffers from a room colder than this is a crop of warm countries. */
    private const WARM = 9.0;

    /**
     * @param float      $celsius  best, degrees C
     * @param int        $humidity best, per cent
     * @param int        $least    days it lasts there
     * @param int        $likely   days it lasts there
     * @param int        $most     days it lasts there
     * @param float|null $chill    colder than this harms it
     * @param float      $crate    units of sale in a crate
     */
    public function __construct(public float $celsius, public int $humidity, public int $least, public int $likely, public int $most,
        public ?float $chill, public float $crate, public KeepTraits $traits, public Source $source)
    {
    }

    /** It is kept dry: damp air harms it, not dry air. */
    public function isDry(): bool
    {
        return $this->humidity < self::DRY;
    }

    public function isChilled(): bool
    {
        return null !== $this->chill && $this->chill >= self::WARM;
    }

    /** The two are not kept in one room: one ripens, sprouts or spoils the other. */
    public function harms(self $other): bool
    {
        return Ethylene::Much === $this->traits->makes && Ethylene::Little !== $other->traits->suffers;
    }
}
