<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

/** What can be noted of a planting, from the bed. */
enum Happening: string
{
    case Begun = 'begun';
    case Sown = 'sown';
    case Planted = 'planted';
    case Emerged = 'emerged';
    case Seen = 'seen';
    case Picked = 'picked';
    case Finished = 'finished';
    case Lost = 'lost';

    /** What one taps. */
    public function button(): string
    {
        return match ($this) {
            self::Begun => 'Bed begun',
            self::Sown => 'Sown',
            self::Planted => 'Planted',
            self::Emerged => 'Come up',
            self::Seen => 'How far?',
            self::Picked => 'Picked',
            self::Finished => 'Finished',
            self::Lost => 'Looks bad',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Begun => 'work on the bed begun',
            self::Sown => 'sown',
            self::Planted => 'planted out',
            self::Emerged => 'come up',
            self::Seen => 'looked at',
            self::Picked => 'picked',
            self::Finished => 'finished, bed cleared',
            self::Lost => 'looks bad',
        };
    }
}
