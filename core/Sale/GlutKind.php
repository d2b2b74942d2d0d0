<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** What becomes of what is too much. */
enum GlutKind: string
{
    /** Another outlet sells more of it. */
    case More = 'more';
    case SecondPrice = 'second-price';
    case Processing = 'processing';
    /** A bin beside the boxes: take what you like. */
    case FreeChoice = 'free-choice';
    /** Turned in where it stands. */
    case GreenManure = 'green-manure';

    /** @return list<self> a garden may write down */
    public static function typed(): array
    {
        return [self::Processing, self::FreeChoice, self::SecondPrice];
    }
}
