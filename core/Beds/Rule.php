<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Message\Code;

/** What a planting can be at odds with. Hard rules are kept; soft ones may bend and are told. */
enum Rule: string implements Code
{
    /** Values: bed. */
    case NoSuchBed = 'no-such-bed';
    /** Values: bed, length, to. */
    case BeyondBed = 'beyond-bed';
    /** Values: crop, bed, from, until; stands and is only planned there: begun yes or no; free. */
    case GroundTaken = 'ground-taken';
    /** Values: bed, is, wanted. */
    case WrongPlace = 'wrong-place';
    /** Values: family, bed, until, why. */
    case Quarantined = 'quarantined';
    /** Values: crop, bed, until. */
    case ManureWaits = 'manure-waits';
    /** Values: bed, since. */
    case Retired = 'retired';
    /** Values: bed, until, why. */
    case Resting = 'resting';
    /** Values: what, where, why. */
    case NotHere = 'not-here';
    /** Values: crop, days, metres. */
    case TooNearInFlower = 'too-near-in-flower';
    /** Values: bed, against. */
    case BedTemper = 'bed-temper';
    /** Values: crop, place, day, against. */
    case ComesToNothing = 'comes-to-nothing';
    /** Values: crop, place, day, against. */
    case OutOfSeason = 'out-of-season';
    /** Values: odds. */
    case FrostFirst = 'frost-first';
    /** Values: family, bed, apart, other, years. */
    case FamilyTooSoon = 'family-too-soon';
    /** Values: crop, bed. */
    case OutOfTurn = 'out-of-turn';
    /** Values: crop, bed. */
    case AfterUnsuited = 'after-unsuited';
    /** Values: family, bed. */
    case OutsideItsBlock = 'outside-its-block';
    /** Values: crop, bed, until. */
    case ResidueRots = 'residue-rots';
    /** Values: crop, bed. */
    case OneLongRow = 'one-long-row';

    public function isHard(): bool
    {
        return match ($this) {
            self::NoSuchBed, self::BeyondBed, self::GroundTaken, self::WrongPlace, self::Quarantined, self::ManureWaits, self::Retired,
            self::Resting,
            self::NotHere,
            self::TooNearInFlower, self::ComesToNothing => true,
            default => false,
        };
    }
}
