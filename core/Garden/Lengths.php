<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** Growers' lengths: the steps a planting is planned in, of the commonest bed. */
enum Lengths: string
{
    case Metres = 'metres';
    case Quarters = 'quarters';
    case Halves = 'halves';
    case Whole = 'whole';

    /** Parts of a bed one step is; 0: one metre. */
    public function parts(): int
    {
        return match ($this) {
            self::Metres => 0,
            self::Quarters => 4,
            self::Halves => 2,
            self::Whole => 1,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Metres => 'to the metre',
            self::Quarters => 'quarters of a bed',
            self::Halves => 'halves of a bed',
            self::Whole => 'whole beds',
        };
    }
}
