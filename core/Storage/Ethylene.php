<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** How much of the ripening gas a crop gives off, or how much it suffers from it. */
enum Ethylene: string
{
    case Little = 'little';
    case Some = 'some';
    case Much = 'much';
}
