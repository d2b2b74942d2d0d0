<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

/** What is chosen for a planting. */
enum Choice: string
{
    case Day = 'day';
    case VarietyAndMethod = 'variety-and-method';
    case Length = 'length';
    case Bed = 'bed';
}
