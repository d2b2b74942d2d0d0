<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Twelve monthly means of a place: daily minimum and maximum, and rain. */
final readonly class MonthlyMeans
{
    public const COLDEST = -60.0;
    public const HOTTEST = 55.0;
    public const WETTEST = 1500.0;
    public const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November',
        'December'];

    /**
     * @param list<float> $min  degrees C
     * @param list<float> $max  degrees C
     * @param list<float> $rain mm a month
     */
    private function __construct(public array $min, public array $max, public array $rain)
    {
    }

    /**
     * @param list<float> $min
     * @param list<float> $max
     * @param list<float> $rain
     *
     * @throws InvalidClimate
     */
    public static function of(array $min, array $max, array $rain): self
    {
        foreach (self::MONTHS as $m => $month) {
            if (!isset($min[$m], $max[$m], $rain[$m])) {
                throw InvalidClimate::missing($month);
            }
            if ($min[$m] < self::COLDEST || $max[$m] > self::HOTTEST) {
                throw InvalidClimate::impossible($month, $min[$m], $max[$m]);
            }
            if ($min[$m] >= $max[$m]) {
                throw InvalidClimate::upsideDown($month, $min[$m], $max[$m]);
            }
            if ($rain[$m] < 0.0 || $rain[$m] > self::WETTEST) {
                throw InvalidClimate::rain($month, $rain[$m]);
            }
        }

        return new self($min, $max, $rain);
    }
}
