<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Message\Code;

/** Why a lot does not keep as long as it could. */
enum KeepReason: string implements Code
{
    /** Values: is, best. */
    case TooWarm = 'too-warm';
    /** Values: is, limit. */
    case TooCold = 'too-cold';
    /** Values: is, best. */
    case TooDamp = 'too-damp';
    /** Values: is, best. */
    case TooDry = 'too-dry';
    /** Values: flaw. */
    case CameIn = 'came-in';
    /** Values: nights. */
    case ColdNights = 'cold-nights';
    /** Values: crop. */
    case BesideGas = 'beside-gas';
    /** Values: from. */
    case NotYet = 'not-yet';
}
