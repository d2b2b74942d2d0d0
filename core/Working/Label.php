<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

use JollyFurrow\Message\Code;

/** Names of inputs that tell something of the case at hand. */
enum Label: string implements Code
{
    /** Values: month, counted. */
    case MonthCounted = 'month-counted';
    /** Values: method. */
    case CatalogueDays = 'catalogue-days';
    /** Values: method. */
    case CatalogueDaysWithSpread = 'catalogue-days-with-spread';
    /** Values: cover, until. */
    case UnderCover = 'under-cover';
    /** Values: cover. */
    case WithoutCover = 'without-cover';
    case WithoutAnyCover = 'without-any-cover';
    /** Values: recipe, season. */
    case LeadOf = 'lead-of';
    /** Values: recipe, season, reserve. */
    case LeadWithReserve = 'lead-with-reserve';
    /** Values: above. */
    case WarmerByDay = 'warmer-by-day';
}
