<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** How much frost a crop bears. */
enum Hardiness: string
{
    case Tender = 'tender';
    case HalfHardy = 'half-hardy';
    case Hardy = 'hardy';

    public function words(): string
    {
        return match ($this) {
            self::Tender => 'killed by the first frost',
            self::HalfHardy => 'bears light frost',
            self::Hardy => 'bears hard frost',
        };
    }
}
