<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Message\Code;

/** What is changed to mend a shortage. */
enum MendKind: string implements Code
{
    case AnotherSowing = 'another-sowing';
    case AnotherVariety = 'another-variety';
    case InAnotherPlace = 'in-another-place';
    case RaisedInAnotherWay = 'raised-in-another-way';
    /** Another day of the week. */
    case OnAnotherDay = 'on-another-day';
    case LongerPlanting = 'longer-planting';
    case Cover = 'cover';
    /** Values: crop. */
    case InsteadOf = 'instead-of';
}
