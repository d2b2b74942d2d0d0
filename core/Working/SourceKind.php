<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/** Where a value comes from; every value in the book and in a working has one. */
enum SourceKind: string
{
    case Published = 'published';
    case CommonPractice = 'practice';
    case FromMemory = 'memory';
    case OwnModel = 'model';
    case Garden = 'garden';

    public function words(): string
    {
        return match ($this) {
            self::Published => 'published',
            self::CommonPractice => 'common practice, no source',
            self::FromMemory => 'from memory',
            self::OwnModel => 'own model',
            self::Garden => 'this garden',
        };
    }
}
