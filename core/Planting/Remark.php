<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Message\Code;

/** What a planting carries along that no rule said. */
enum Remark: string implements Code
{
    /** Values: words, as they were written. */
    case Written = 'written';
    /** Frost usually ends it before it is ready. */
    case FrostEndsIt = 'frost-ends-it';
}
