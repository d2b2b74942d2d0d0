<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Message\Code;

/** What ends a harvest. */
enum EndedBy: string implements Code
{
    case Age = 'age';
    case Frost = 'frost';
    case Bolting = 'bolting';
    case Cool = 'cool';
}
