<?php

declare(strict_types=1);

namespace App\Sheets;

/** What goes on paper. */
enum Printed: string
{
    case Wall = 'wall';
    case Cards = 'cards';
    case Map = 'map';

    public function words(): string
    {
        return match ($this) {
            self::Wall => 'Season wall', self::Cards => 'Bed cards', self::Map => 'Map',
        };
    }
}
