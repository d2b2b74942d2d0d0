<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What became of a part of a lot. */
enum HandlingKind: string
{
    case Moved = 'moved';
    case Sold = 'sold';
    case Given = 'given';
    case Culled = 'culled';
    case Looked = 'looked';
    /** Unsold, back from market into store. */
    case Returned = 'returned';

    /** It leaves the store. */
    public function isGone(): bool
    {
        return match ($this) {
            self::Sold, self::Given, self::Culled => true,
            self::Moved, self::Looked, self::Returned => false,
        };
    }
}
