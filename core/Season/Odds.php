<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

/** Odds as a grower says them. */
enum Odds: string
{
    case OneYearInTen = 'one-year-in-ten';
    case EverySecondYear = 'every-second-year';
    case NineYearsInTen = 'nine-years-in-ten';

    /** As a share. */
    public function share(): float
    {
        return match ($this) {
            self::OneYearInTen => 0.1,
            self::EverySecondYear => 0.5,
            self::NineYearsInTen => 0.9,
        };
    }
}
