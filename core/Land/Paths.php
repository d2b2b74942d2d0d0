<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

/** What lies between the beds, and what it asks for. Hours are by 100 m of path (common practice, no source; our own starting values). */
enum Paths: string
{
    case Hoed = 'hoed';
    case Mulched = 'mulched';
    case Living = 'living';

    public function words(): string
    {
        return match ($this) {
            self::Hoed => 'hoed bare',
            self::Mulched => 'mulched with straw or chips',
            self::Living => 'living: clover or grass, mown',
        };
    }

    public function work(): string
    {
        return match ($this) {
            self::Hoed => 'Hoe the paths',
            self::Mulched => 'Mulch the paths anew',
            self::Living => 'Mow the living paths',
        };
    }

    /** Days from one time to the next; mulch is spread once a year. */
    public function everyDays(): int
    {
        return match ($this) {
            self::Hoed => 14,
            self::Mulched => 365,
            self::Living => 18,
        };
    }

    public function hoursPer100Metres(): float
    {
        return match ($this) {
            self::Hoed => 0.8,
            self::Mulched => 2.5,
            self::Living => 0.4,
        };
    }

    public function tool(): string
    {
        return match ($this) {
            self::Hoed => 'wire hoe',
            self::Mulched => 'barrow and rake',
            self::Living => 'mower',
        };
    }
}
