<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** What keeps in store may be stored, or grown on and cut fresh. */
enum Keeping: string
{
    case AsItPays = 'as-it-pays';
    case Store = 'store';
    case GrowOn = 'grow-on';

    public function words(): string
    {
        return match ($this) {
            self::AsItPays => 'whichever costs less',
            self::Store => 'few sowings, kept in store',
            self::GrowOn => 'sown again, cut fresh',
        };
    }
}
