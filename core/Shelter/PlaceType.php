<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** What kind of ground a bed is. */
enum PlaceType: string
{
    case Field = 'field';
    case Tunnel = 'tunnel';
    case Heated = 'heated';

    /** How it is written in lists and sheets. */
    private const NAMES = ['field' => ['field', 'open field'], 'tunnel' => ['tunnel', 'unheated tunnel'], 'heated' => ['heated']];

    /** Short name under which the season windows of a crop are kept for this place. */
    public static function named(string $words): ?self
    {
        foreach (self::cases() as $case) {
            if (\in_array(strtolower(trim($words)), self::NAMES[$case->value], true)) {
                return $case;
            }
        }

        return null;
    }
}
