<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** What kind of day a market day was, for days like it. */
enum Weathering: string
{
    case Fair = 'fair';
    case Hot = 'hot';
    case Cold = 'cold';
    case Wet = 'wet';
}
