<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** What can stand against a sowing. */
enum Risk: string
{
    case ColdSoil = 'cold-soil';
    case Frost = 'frost';
    case Bolting = 'bolting';
    case Heat = 'heat';
    case LittleLight = 'little-light';
    case Small = 'small';
    case LittleHarvest = 'little-harvest';
    case Place = 'place';
    case Slow = 'slow';
    case Sickness = 'sickness';
}
