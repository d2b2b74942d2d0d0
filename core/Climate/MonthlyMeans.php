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
     * @param list<float>      $min   degrees C
     * @param list<float>      $max   degrees C
     * @param list<float>|null $rain  mm a month; null: not known
     * @param Nearness|null    $guess how near the sea they were guessed for; null: they are no guess
     */
    private function __construct(public array $min, public array $max, public ?array $rain, public ?Nearness $guess)
    {
    }

    /**
     * @param list<float>      $min
     * @param list<float>      $max
     * @param list<float>|null $rain  null: not known
     * @param Nearness|null    $guess null: they are no guess
     *
     * @throws InvalidClimate
     */
    public static function of(array $min, array $max, ?array $rain, ?Nearness $guess = null): self
    {
        foreach (self::MONTHS as $m => $month) {
            if (!isset($min[$m], $max[$m]) || (null !== $rain && !isset($rain[$m]))) {
                throw InvalidClimate::missing($month);
            }
            if ($min[$m] < self::COLDEST || $max[$m] > self::HOTTEST) {
                throw InvalidClimate::impossible($month, $min[$m], $max[$m]);
            }
            if ($min[$m] >= $max[$m]) {
                throw InvalidClimate::upsideDown($month, $min[$m], $max[$m]);
            }
            if (null !== $rain && ($rain[$m] < 0.0 || $rain[$m] > self::WETTEST)) {
                throw InvalidClimate::rain($month, $rain[$m]);
            }
        }

        return new self($min, $max, $rain, $guess);
    }
}
