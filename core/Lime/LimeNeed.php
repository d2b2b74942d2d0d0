<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

use JollyFurrow\Measure\Area;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\Texture;

/**
 * Lime to bring a bed up to a pH, or sulphur to bring it down; kilograms of ground limestone or of sulphur for the bed.
 *
 * Lime: the lime factor of the texture times the rise (AHDB RB209, section 1, from memory). Sulphur: a table handed on by US
 * extension services, pounds an acre to reach 6.5 (from memory, believed to be after Tisdale and Nelson, Soil Fertility and
 * Fertilizers); between its rows and for other ends by the difference, below its last row at the rate of that row.
 */
final readonly class LimeNeed
{
    /** pH from which; pounds an acre on sand, loam, clay. */
    private const SULPHUR = [[8.5, 2000, 2500, 3000], [8.0, 1200, 1500, 2000], [7.5, 500, 800, 1000], [7.0, 100, 150, 300], [6.5, 0, 0, 0]];
    private const APART = 0.5;
    private const LB_ACRE_IN_G_M2 = 0.11208511;
    /** So near is near enough. */
    private const NEAR = 0.2;
    /** What is a little high is lived with: sulphur only from neutral up (common practice). */
    private const SULPHUR_FROM = 7.0;
    /** Tonnes a hectare of lime in one go; sulphur, g a square metre (common practice). */
    private const MOST_LIME = 5.0;
    private const MOST_SULPHUR = 50.0;

    /** @param int $goes in how many goes, half a year apart */
    private function __construct(public LimeKind $kind, public float $kg, public float $perSquareMetre, public int $goes,
        public float $from, public float $to)
    {
    }

    /** Null: no test, or near enough. */
    public static function of(BedSoil $soil, Area $area, float $target): ?self
    {
        if (null === $soil->ph || abs($soil->ph - $target) < self::NEAR - 1e-9) {
            return null;
        }
        $isLime = $soil->ph < $target;
        if (!$isLime && $soil->ph < self::SULPHUR_FROM) {
            return null;
        }
        $grams = $isLime ? self::lime($soil->texture, $target - $soil->ph) : self::sulphur($soil->texture, $soil->ph, $target);
        $most = $isLime ? self::MOST_LIME * 100 : self::MOST_SULPHUR;

        return new self($isLime ? LimeKind::Lime : LimeKind::Sulphur, $grams * $area->squareMetres / 1000, $grams, (int) max(1,
            ceil($grams / $most - 1e-9)), $soil->ph, $target);
    }

    /** Grams of ground limestone a square metre. */
    public static function lime(Texture $texture, float $rise): float
    {
        return 100 * $texture->limeFactor() * $rise;
    }

    /** Grams of sulphur a square metre. */
    public static function sulphur(Texture $texture, float $from, float $to): float
    {
        return max(0.0, self::above($texture, $from) - self::above($texture, $to)) * self::LB_ACRE_IN_G_M2;
    }

    /** Pounds an acre from that pH to 6.5; below 6.5 as much less. */
    private static function above(Texture $texture, float $ph): float
    {
        $column = match ($texture) {
            Texture::Sand, Texture::SandyLoam => 1,
            Texture::Loam, Texture::Peat => 2,
            Texture::ClayLoam, Texture::Clay => 3,
        };
        $above = null;
        foreach (self::SULPHUR as $row) {
            if (null !== $above && $ph >= $row[0]) {
                return $row[$column] + ($above[$column] - $row[$column]) * ($ph - $row[0]) / self::APART;
            }
            $above = $row;
        }

        return ($ph - 6.5) / self::APART * self::SULPHUR[3][$column];
    }
}
