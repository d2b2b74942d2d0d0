<?php

declare(strict_types=1);

namespace App\Links;

/** What a secret link opens, for how long and how often. */
enum LinkKind: string
{
    case Join = 'join';
    case Password = 'password';
    case First = 'first';
    /** Jobs for a calendar: asked for again and again. */
    case Calendar = 'calendar';
    /** What is coming for one outlet, and its orders; its note is the outlet's key. */
    case Buyer = 'buyer';

    public function seconds(): int
    {
        return match ($this) {
            self::Join => 14 * 86400,
            self::Password => 86400,
            self::First => 7 * 86400,
            self::Calendar => 3 * 366 * 86400,
            self::Buyer => 366 * 86400,
        };
    }

    public function mostUses(): int
    {
        return \in_array($this, [self::Calendar, self::Buyer], true) ? 1_000_000_000 : 1;
    }
}
