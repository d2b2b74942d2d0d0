<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

/** How water gets to a bed. */
enum WaterWay: string
{
    case Drip = 'drip';
    case Overhead = 'overhead';
    case Hand = 'hand';

    /** Share of the water that reaches the roots (common practice: drip 0.9, sprinklers 0.7 to 0.8). */
    public function reaches(): float
    {
        return match ($this) {
            self::Drip => 0.9,
            self::Overhead => 0.75,
            self::Hand => 0.85,
        };
    }
}
