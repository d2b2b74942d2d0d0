<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

/** Why a promise is short; the words tell also what a grower can do about it. */
enum ShortageReason: string
{
    case NoSowing = 'no-sowing';
    case NoPlace = 'no-place';
    case NoBed = 'no-bed';
    case TooDear = 'too-dear';
    case NotPlanned = 'not-planned';
    case Perennial = 'perennial';

    /** Nothing that is sown from now on can mend it. */
    public function isLate(): bool
    {
        return self::NoSowing === $this || self::Perennial === $this;
    }
}
