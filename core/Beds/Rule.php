<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** What a planting can be at odds with. Hard rules are kept; soft ones may bend and are told. */
enum Rule: string
{
    case NoSuchBed = 'no-such-bed';
    case BeyondBed = 'beyond-bed';
    case GroundTaken = 'ground-taken';
    case WrongPlace = 'wrong-place';
    case Quarantined = 'quarantined';
    case Resting = 'resting';
    case NotHere = 'not-here';
    case TooNearInFlower = 'too-near-in-flower';
    case BedTemper = 'bed-temper';
    case OutOfSeason = 'out-of-season';
    case FrostFirst = 'frost-first';
    case FamilyTooSoon = 'family-too-soon';

    public function isHard(): bool
    {
        return \in_array($this, [self::NoSuchBed, self::BeyondBed, self::GroundTaken, self::WrongPlace, self::Quarantined, self::Resting, self::NotHere, self::TooNearInFlower], true);
    }
}
