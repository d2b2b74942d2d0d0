<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Message\Code;

/** Why words are no place a garden can lie. */
enum NoPlace: string implements Code
{
    /** Values: text. */
    case NotAPlace = 'not-a-place';
    case TooFar = 'too-far';
    case TooHigh = 'too-high';
}
