<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Message\Code;

/** Why a variety comes to nothing on a ladder. */
enum NoRung: string implements Code
{
    /** Values: place. */
    case NotGrownThere = 'not-grown-there';
    /** Values: from, to. */
    case OutOfSeason = 'out-of-season';
    case NotBeforeWinter = 'not-before-winter';
    case FrostEndsIt = 'frost-ends-it';
}
