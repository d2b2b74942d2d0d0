<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What shortens a lot's life from the day it comes in. Shares of life left are our own model, to be learned. */
enum Flaw: string
{
    case Wet = 'wet';
    case Muddy = 'muddy';
    case Bruised = 'bruised';
    case Overripe = 'overripe';

    public function leaves(): float
    {
        return match ($this) {
            self::Wet => 0.8,
            self::Muddy => 0.9,
            self::Bruised => 0.5,
            self::Overripe => 0.6,
        };
    }
}
