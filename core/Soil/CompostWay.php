<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How often a bed is given compost. */
enum CompostWay: string
{
    case OnceAYear = 'once-a-year';
    case EachCrop = 'each-crop';
    case None = 'none';
}
