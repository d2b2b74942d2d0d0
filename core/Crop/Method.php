<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

enum Method: string
{
    case Sown = 'sown';
    case Transplanted = 'transplanted';

    public function words(): string
    {
        return self::Sown === $this ? 'sown in the bed' : 'raised and transplanted';
    }
}
