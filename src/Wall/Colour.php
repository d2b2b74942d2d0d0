<?php

declare(strict_types=1);

namespace App\Wall;

/** What the colours on the wall and the map mean. */
enum Colour: string
{
    case Family = 'family';
    /** Planned, in the nursery, growing, ready, over. */
    case State = 'state';
    /** What may not be, what bends a rule, what is late. */
    case Problem = 'problem';
    /** Whether it is for the product chosen. */
    case Product = 'product';
    /** Open field, tunnel, heated. */
    case Place = 'place';
}
