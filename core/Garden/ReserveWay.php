<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** Where the reserve above need is grown. */
enum ReserveWay: string
{
    case Longer = 'longer';
    case Extra = 'extra';

    public function words(): string
    {
        return match ($this) {
            self::Longer => 'plantings made longer',
            self::Extra => 'plantings of their own',
        };
    }
}
