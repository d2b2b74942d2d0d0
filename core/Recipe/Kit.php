<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

/** What is laid over beds, taken up and used again. */
enum Kit: string
{
    case Tarp = 'tarp';
    case RowCover = 'row-cover';
    case Hoops = 'hoops';
    case Fabric = 'fabric';
    case Drip = 'drip';
    case Stakes = 'stakes';

    public function words(): string
    {
        return match ($this) {
            self::Tarp => 'tarps',
            self::RowCover => 'row covers',
            self::Hoops => 'hoops',
            self::Fabric => 'planting fabric',
            self::Drip => 'drip lines',
            self::Stakes => 'stakes and strings',
        };
    }
}
