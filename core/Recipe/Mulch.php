<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

/** What lies on the soil of a bed once it is made ready, and stays there under the crop. */
enum Mulch: string
{
    case None = 'none';
    case Film = 'film';
    case Fabric = 'fabric';
    case Straw = 'straw';

    /** Whether a hoe, a rake or a ridger reaches the soil. */
    public function isBare(): bool
    {
        return self::None === $this;
    }
}
