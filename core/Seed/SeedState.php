<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

/** What to do with a lot. */
enum SeedState: string
{
    case Good = 'good';
    /** A test says it comes up less well: sow more. */
    case Thicker = 'thicker';
    /** Older than it keeps, and not tested. */
    case Test = 'test';
    case ThrowOut = 'throw-out';
}
