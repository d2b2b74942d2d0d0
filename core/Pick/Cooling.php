<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** How the warmth of the field is taken out of what was picked; the quickest first. */
enum Cooling: string
{
    case IceWater = 'ice-water';
    case ColdWater = 'cold-water';
    case Fan = 'fan';
    case Room = 'room';
    case None = 'none';
}
