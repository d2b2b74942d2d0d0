<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** What a cover is put on for. */
enum Purpose: string
{
    case Frost = 'frost';
    case Growth = 'growth';
    case Insects = 'insects';

    public function words(): string
    {
        return match ($this) {
            self::Frost => 'against frost',
            self::Growth => 'for growth',
            self::Insects => 'against insects',
        };
    }
}
