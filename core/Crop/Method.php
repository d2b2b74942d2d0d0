<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** How a crop comes into its bed. */
enum Method: string
{
    case Sown = 'sown';
    case Transplanted = 'transplanted';
}
