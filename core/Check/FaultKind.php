<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

/** What can be wrong with a plan. */
enum FaultKind: string
{
    case Format = 'format';
    case OtherGarden = 'other-garden';
    case OtherDay = 'other-day';
    case NameTwice = 'name-twice';
    case KeptUnknown = 'kept-unknown';
    case NotLeftAlone = 'not-left-alone';
    case NoSuchCrop = 'no-such-crop';
    case NoSuchRecipe = 'no-such-recipe';
    case WrongRecipe = 'wrong-recipe';
    case WrongMethod = 'wrong-method';
    case NotPlanned = 'not-planned';
    case NoSuchDay = 'no-such-day';
    case DatesOutOfOrder = 'dates-out-of-order';
    case InThePast = 'in-the-past';
    case NoSowingDay = 'no-sowing-day';
    case OutOfSeason = 'out-of-season';
    case WrongNursery = 'wrong-nursery';
    case BedNotReady = 'bed-not-ready';
    case WrongReady = 'wrong-ready';
    case PastItsHold = 'past-its-hold';
    case Frosted = 'frosted';
    case WrongYield = 'wrong-yield';
    case NoGround = 'no-ground';
    case NoSuchBed = 'no-such-bed';
    case BeyondBed = 'beyond-bed';
    case WrongPlace = 'wrong-place';
    case Quarantined = 'quarantined';
    case ManureWaits = 'manure-waits';
    case Retired = 'retired';
    case Resting = 'resting';
    case NotHere = 'not-here';
    case OnReserve = 'on-reserve';
    case TooNearInFlower = 'too-near-in-flower';
    case GroundTaken = 'ground-taken';
    case NeedMissing = 'need-missing';
    case NeedWrong = 'need-wrong';
    case NeedUnknown = 'need-unknown';
    case ServedTooMuch = 'served-too-much';
    case ServedWithoutSource = 'served-without-source';
    case UnknownSource = 'unknown-source';
    case TooEarlyOrTooOld = 'too-early-or-too-old';
    case MoreThanItGives = 'more-than-it-gives';
    case ShortageHidden = 'shortage-hidden';
    case ShortageUnknown = 'shortage-unknown';
    case ShareWrong = 'share-wrong';
    case CostWrong = 'cost-wrong';
}
