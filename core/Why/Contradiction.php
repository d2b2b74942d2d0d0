<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Message\Code;

/** Rules of a garden that cannot all be kept. */
enum Contradiction: string implements Code
{
    /** Values: crop, locked, bed, until, from, to. */
    case OnARestingBed = 'on-a-resting-bed';
    /** Values: place. */
    case NoBedOfItsKind = 'no-bed-of-its-kind';
    /** Values: crop. */
    case KeptOffEverywhere = 'kept-off-everywhere';
    /** Values: crop, method. */
    case NoDaysForThatWay = 'no-days-for-that-way';
}
