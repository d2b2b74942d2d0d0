<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

/** How far a planting has come. */
enum Standing: string
{
    case Planned = 'planned';
    case InNursery = 'nursery';
    case Growing = 'growing';
    case Cleared = 'cleared';
}
