<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** What is weighed when beds are chosen: a soft rule, or what it costs to bend it. The values are the keys of the weights. */
enum Weighed: string
{
    case Gap = 'gap';
    case Cycle = 'cycle';
    case Piece = 'piece';
    case Temper = 'temper';
    case Before = 'before';
    case Together = 'together';
    case Block = 'block';
    case Sliver = 'sliver';
    case Walk = 'walk';
    case Corn = 'corn';
}
