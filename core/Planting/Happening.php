<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

/** What can be noted of a planting, from the bed. */
enum Happening: string
{
    case Begun = 'begun';
    case Sown = 'sown';
    case Planted = 'planted';
    case Emerged = 'emerged';
    case Seen = 'seen';
    case Picked = 'picked';
    case Finished = 'finished';
    case Lost = 'lost';
}
