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
}
