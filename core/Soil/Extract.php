<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How the laboratory drew phosphorus or potassium out of the soil: a number means nothing without it. */
enum Extract: string
{
    case Olsen = 'olsen';
    case Mehlich3 = 'mehlich-3';
    case Bray1 = 'bray-1';
    case Morgan = 'modified-morgan';
    case Cal = 'cal';
    case AmmoniumNitrate = 'ammonium-nitrate';
    case AmmoniumAcetate = 'ammonium-acetate';

    /**
     * Bounds between very low, low, middling, high and very high, mg of element a kg of soil; none: not for phosphorus.
     * From memory; believed to be: Olsen, the index limits of AHDB RB209; Mehlich 3, University of Delaware (Sims 1999), the
     * lowest bound our own; Bray 1, North Central extension tables for vegetables; modified Morgan, University of
     * Massachusetts; CAL, VDLUFA 2018 (classes A to E).
     *
     * @return list<float>
     */
    public function phosphorus(): array
    {
        return match ($this) {
            self::Olsen => [10.0, 16.0, 26.0, 46.0],
            self::Mehlich3 => [13.0, 26.0, 51.0, 101.0],
            self::Bray1 => [11.0, 21.0, 41.0, 71.0],
            self::Morgan => [2.0, 4.0, 14.0, 40.0],
            self::Cal => [15.0, 31.0, 61.0, 121.0],
            self::AmmoniumNitrate, self::AmmoniumAcetate => [],
        };
    }

    /**
     * The same of potassium. From memory; believed to be: ammonium nitrate, the index limits of AHDB RB209; Mehlich 3 and
     * ammonium acetate, Pennsylvania State University (middling from 100 to 200); modified Morgan, University of
     * Massachusetts; CAL, VDLUFA for middling soils.
     *
     * @return list<float>
     */
    public function potassium(): array
    {
        return match ($this) {
            self::AmmoniumNitrate => [61.0, 121.0, 241.0, 401.0],
            self::Mehlich3, self::AmmoniumAcetate => [50.0, 100.0, 201.0, 301.0],
            self::Morgan => [50.0, 100.0, 161.0, 231.0],
            self::Cal => [50.0, 91.0, 161.0, 251.0],
            self::Olsen, self::Bray1 => [],
        };
    }

    /** @return list<self> */
    public static function forPhosphorus(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $e): bool => [] !== $e->phosphorus()));
    }

    /** @return list<self> */
    public static function forPotassium(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $e): bool => [] !== $e->potassium()));
    }
}
