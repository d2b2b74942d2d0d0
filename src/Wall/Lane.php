<?php

declare(strict_types=1);

namespace App\Wall;

/** What may stand above and below the beds, week by week; each can be folded away. */
enum Lane: string
{
    case Light = 'light';
    case Tight = 'tight';
    case Supply = 'supply';
    case Free = 'free';
    /** All that is promised, by family, as a heat strip. */
    case Promises = 'promises';
    /** Hours of work against hands. */
    case Hours = 'hours';
    case Bench = 'bench';
    case Water = 'water';

    /** @var list<self> shown until something else is chosen */
    public const USUAL = [self::Light, self::Tight, self::Supply, self::Free];
    /** @var list<self> worked out after the wall is there, for they take longer */
    public const LATER = [self::Promises, self::Hours, self::Bench, self::Water];

    public function words(): string
    {
        return match ($this) {
            self::Light => 'Light and frost', self::Tight => 'Tight weeks', self::Supply => 'One product', self::Free => 'Free bed',
            self::Promises => 'All promises', self::Hours => 'Hours', self::Bench => 'Bench', self::Water => 'Water',
        };
    }
}
