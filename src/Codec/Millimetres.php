<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Measure\Length;

/** Lengths as files hold them: millimetres with at most three decimals, which are whole micrometres. */
final class Millimetres
{
    /** What growers type who measure in inches comes in quarters of one. */
    private const QUARTER_INCH = 6_350;

    public static function of(int $micrometres): int|float
    {
        return 0 === $micrometres % Length::MILLIMETRE ? intdiv($micrometres, Length::MILLIMETRE) : $micrometres / Length::MILLIMETRE;
    }

    /**
     * Files and tables of earlier versions held whole millimetres. Where lengths were typed in feet and inches, the quarter
     * of an inch that was rounded is the one less than half a millimetre away.
     *
     * @return int micrometres; of two different millimetres never the same
     */
    public static function ofWhole(int $millimetres, bool $isInch): int
    {
        $rounded = $millimetres * Length::MILLIMETRE;
        $quarter = (int) round($rounded / self::QUARTER_INCH) * self::QUARTER_INCH;

        return $isInch && 2 * abs($quarter - $rounded) < Length::MILLIMETRE ? $quarter : $rounded;
    }

    /**
     * The same values with every whole number of a field "..._mm" (or of the fields of an object of that name) put right
     * as by `ofWhole` in inches.
     *
     * @param array<mixed> $values
     *
     * @return array<mixed>
     */
    public static function inInches(array $values, bool $areLengths = false): array
    {
        foreach ($values as $field => $value) {
            $isLength = $areLengths || (\is_string($field) && str_ends_with($field, '_mm') && 'rain_mm' !== $field);
            if (\is_array($value)) {
                $values[$field] = self::inInches($value, $isLength);
            } elseif ($isLength && \is_int($value)) {
                $values[$field] = self::of(self::ofWhole($value, true));
            }
        }

        return $values;
    }
}
