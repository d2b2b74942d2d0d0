<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * How far the light of a day lets a crop grow, from nought to one. Own model: nothing below a little, all above the
 * light of autumn, a curve between, so that growth nearly rests in midwinter (growers' rule: below ten hours of day
 * plants hardly grow). What bears autumn goes on in less light than what wants summer.
 */
enum LightResponse: string
{
    case Hardy = 'hardy';
    case Ordinary = 'ordinary';
    case Potato = 'potato';
    case Warm = 'warm';
    /** Seedlings under glass are content with less. */
    case Seedling = 'seedling';

    /** MJ m-2 a day at the leaf. */
    public function nothingBelow(): float
    {
        return match ($this) {
            self::Hardy => 2.0,
            self::Ordinary => 2.5,
            self::Potato => 4.0,
            self::Warm => 2.8,
            self::Seedling => 1.0,
        };
    }

    /** MJ m-2 a day at the leaf. */
    public function allAbove(): float
    {
        return match ($this) {
            self::Hardy => 9.0,
            self::Ordinary => 11.0,
            self::Potato, self::Warm => 14.0,
            self::Seedling => 8.0,
        };
    }

    public function at(float $light): float
    {
        $share = min(1.0, max(0.0, ($light - $this->nothingBelow()) / ($this->allAbove() - $this->nothingBelow())));

        return 1 - (1 - $share) ** 2;
    }

    /** A fit crop of this kind ages at least so fast, as a share of the pace at its reference: cold does not keep it for ever. */
    public function leastAgeing(): float
    {
        return match ($this) {
            self::Hardy, self::Ordinary, self::Seedling => 0.1,
            self::Potato => 0.4,
            self::Warm => 0.3,
        };
    }
}
