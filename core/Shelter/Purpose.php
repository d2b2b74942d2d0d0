<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** What a cover is put on for. */
enum Purpose: string
{
    case Frost = 'frost';
    case Growth = 'growth';
    case Insects = 'insects';
}
