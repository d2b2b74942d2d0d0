<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** Odds as a grower says them. */
enum Odds: string
{
    case OneYearInTen = 'one-year-in-ten';
    case OneYearInFive = 'one-year-in-five';
    case EverySecondYear = 'every-second-year';
    case NineYearsInTen = 'nine-years-in-ten';

    /** As a share. */
    public function share(): float
    {
        return match ($this) {
            self::OneYearInTen => 0.1,
            self::OneYearInFive => 0.2,
            self::EverySecondYear => 0.5,
            self::NineYearsInTen => 0.9,
        };
    }

    /** @return list<self> odds of going wrong a garden may plan by */
    public static function toPlanBy(): array
    {
        return [self::OneYearInTen, self::OneYearInFive, self::EverySecondYear];
    }
}
