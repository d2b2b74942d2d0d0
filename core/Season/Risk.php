<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

/** What can stand against a sowing. */
enum Risk: string
{
    case Season = 'season';
    case ColdSoil = 'cold-soil';
    case Frost = 'frost';
    case Bolting = 'bolting';
    case Heat = 'heat';
    case LittleLight = 'little-light';
    case Small = 'small';
}
