<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What kind of place produce lies in. */
enum StoreKind: string
{
    case ColdRoom = 'cold-room';
    case DryRoom = 'dry-room';
    case Clamp = 'clamp';
    case Shelf = 'shelf';
    case Curing = 'curing';

    public function isForKeeping(): bool
    {
        return self::Curing !== $this;
    }
}
