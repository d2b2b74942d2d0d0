<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What a harvest is good for. */
enum Grade: string
{
    case First = 'first';
    case Second = 'second';
    case Processing = 'processing';
    case Feed = 'feed';
    case Lost = 'lost';

    /** It makes a lot that is sold, stored or used. */
    public function isKept(): bool
    {
        return self::Lost !== $this;
    }

    /** It counts for promises. */
    public function isSold(): bool
    {
        return self::First === $this || self::Second === $this;
    }
}
