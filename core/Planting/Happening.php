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
    /** Some of it was pulled and counted: its length and units are those of the sample. */
    case Sampled = 'sampled';
    case Picked = 'picked';
    case Finished = 'finished';
    case Lost = 'lost';
}
