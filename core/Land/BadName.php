<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Message\Code;

/** What is wrong with a name. */
enum BadName: string implements Code
{
    case Empty = 'empty';
    case Long = 'long';
    case Signs = 'signs';
}
