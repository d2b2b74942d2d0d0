<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How salts were measured: paste, or soil shaken in so many parts of water. */
enum SaltWay: string
{
    case Paste = 'paste';
    case OneToTwo = '1:2';
    case OneToFive = '1:5';

    /** In dS/m of the saturated paste, for loam (from memory, extension tables; half as much again for sand). */
    public function inPaste(): float
    {
        return match ($this) {
            self::Paste => 1.0,
            self::OneToTwo => 2.2,
            self::OneToFive => 7.0,
        };
    }
}
