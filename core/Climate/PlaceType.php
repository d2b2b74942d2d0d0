<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** What kind of ground a bed is. */
enum PlaceType: string
{
    case Field = 'field';
    case Tunnel = 'tunnel';
    case Heated = 'heated';

    public function words(): string
    {
        return match ($this) {
            self::Field => 'open field',
            self::Tunnel => 'unheated tunnel',
            self::Heated => 'heated',
        };
    }

    /** Short name under which the season windows of a crop are kept for this place. */
    public static function named(string $words): ?self
    {
        foreach (self::cases() as $case) {
            if (strtolower(trim($words)) === $case->value || strtolower(trim($words)) === $case->words()) {
                return $case;
            }
        }

        return null;
    }
}
