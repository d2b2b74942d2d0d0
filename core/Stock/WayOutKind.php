<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

/** How a room that gets full is helped, the gentlest first. */
enum WayOutKind: string
{
    case Elsewhere = 'elsewhere';
    case InTheGround = 'in-the-ground';
    case Sooner = 'sooner';
    case FewerMetres = 'fewer-metres';
}
