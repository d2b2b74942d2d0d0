<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

/** What is not known of a crop's worth. */
enum Missing: string
{
    case Sales = 'sales';
    case Hours = 'hours';
    case Bought = 'bought';
}
