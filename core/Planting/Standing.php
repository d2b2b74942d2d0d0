<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

/** How far a planting has come. */
enum Standing: string
{
    case Planned = 'planned';
    case InNursery = 'nursery';
    case Growing = 'growing';
    case Cleared = 'cleared';

    public function words(): string
    {
        return match ($this) {
            self::Planned => 'planned',
            self::InNursery => 'in the nursery',
            self::Growing => 'in the ground',
            self::Cleared => 'cleared',
        };
    }
}
