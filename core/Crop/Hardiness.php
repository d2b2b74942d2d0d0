<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** How much frost a crop bears. */
enum Hardiness: string
{
    case Tender = 'tender';
    case HalfHardy = 'half-hardy';
    case Hardy = 'hardy';
}
