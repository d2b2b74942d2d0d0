<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Message\Code;

/** What can be said against a sowing at one place. */
enum Against: string implements Code
{
    /** Values: place. */
    case NoPlaceForIt = 'no-place-for-it';
    /** Values: method. */
    case NotDoneSo = 'not-done-so';
    case NotReadyInTime = 'not-ready-in-time';
    /** Values: soil, least. */
    case ColdSoil = 'cold-soil';
    /** Values: soil, most. */
    case HotSoil = 'hot-soil';
    /** Values: share, soil. */
    case FewGerminate = 'few-germinate';
    /** Values: share. */
    case MoreSeed = 'more-seed';
    case SeedMayRot = 'seed-may-rot';
    /** Values: odds, ready. */
    case Frost = 'frost';
    /** Values: ready. */
    case FrostFirst = 'frost-first';
    /** Values: odds, ready. */
    case WinterFrost = 'winter-frost';
    /** Values: ready. */
    case WinterKills = 'winter-kills';
    /** Values: ready, mean. */
    case TooCool = 'too-cool';
    /** Values: day. */
    case BoltsFromCold = 'bolts-from-cold';
    /** Values: day. */
    case BoltsFromLongDays = 'bolts-from-long-days';
    case TooHot = 'too-hot';
    /** Values: hours, longest. */
    case DaysTooShort = 'days-too-short';
    /** Values: days, need. */
    case NoChill = 'no-chill';
    case NotShortening = 'not-shortening';
    case NotTheSize = 'not-the-size';
    /** Values: days, usual. */
    case Slow = 'slow';
    /** Values: share, loss. */
    case HotDays = 'hot-days';
    /** Values: share. */
    case FewPickings = 'few-pickings';
    case Mildew = 'mildew';
    /** Values: share. */
    case SmallBulbs = 'small-bulbs';
    /** Values: days. */
    case StandsStill = 'stands-still';

    /** What of soil, frost, heat, light and length of day it comes from. */
    public function risk(): Risk
    {
        return match ($this) {
            self::ColdSoil, self::SeedMayRot => Risk::ColdSoil,
            self::Frost, self::FrostFirst, self::WinterFrost, self::WinterKills, self::TooCool => Risk::Frost,
            self::BoltsFromCold, self::BoltsFromLongDays => Risk::Bolting,
            self::TooHot, self::HotDays, self::HotSoil, self::FewGerminate, self::MoreSeed => Risk::Heat,
            self::FewPickings => Risk::LittleHarvest,
            self::NotReadyInTime, self::StandsStill => Risk::LittleLight,
            self::Slow => Risk::Slow,
            self::SmallBulbs, self::NotTheSize => Risk::Small,
            self::DaysTooShort, self::NoChill, self::NotShortening, self::NoPlaceForIt, self::NotDoneSo => Risk::Place,
            self::Mildew => Risk::Sickness,
        };
    }

    /** It gives nothing whoever plants it; of the rest a grower may take the risk. */
    public function isCertain(): bool
    {
        return match ($this) {
            self::NotReadyInTime, self::SeedMayRot, self::FewGerminate, self::BoltsFromCold, self::BoltsFromLongDays, self::TooCool,
            self::FrostFirst, self::WinterKills,
            self::DaysTooShort, self::NoChill, self::NoPlaceForIt, self::NotDoneSo => true,
            default => false,
        };
    }
}
