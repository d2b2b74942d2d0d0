<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** What was done to animal manure in a product before it is spread. */
enum Heat: string
{
    /** None in it. */
    case NoManure = 'none';
    case Raw = 'raw';
    /** Its temperatures recorded. */
    case Composted = 'composted';
    case HeatTreated = 'heat-treated';
}
