<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** How a harvest is spread over the season: one variety sown again and again, several maturities sown on one day, or both. */
enum SuccessionSchool: string
{
    case ByDate = 'by-date';
    case ByVariety = 'by-variety';
    case Both = 'both';

    public function words(): string
    {
        return match ($this) {
            self::ByDate => 'one variety, sown again and again',
            self::ByVariety => 'all varieties, sown once a month',
            self::Both => 'all varieties, on any sowing day',
        };
    }
}
