<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/**
 * Salt crops bear: dS/m of the saturated paste from which they yield less, and percent less for each dS/m more (Maas and
 * Hoffman 1977, as in Ayers and Westcot 1985, FAO Irrigation and Drainage Paper 29, table 4; from memory).
 */
final class Salts
{
    private const BEARS = [
        'bean-bush' => [1.0, 19.0], 'bean-runner' => [1.0, 19.0], 'carrot' => [1.0, 14.0], 'carrot-storage' => [1.0, 14.0],
        'strawberry' => [1.0, 33.0], 'onion' => [1.2, 16.0], 'scallion' => [1.2, 16.0], 'turnip' => [0.9, 9.0], 'radish' => [1.2, 13.0],
        'lettuce-head' => [1.3, 13.0], 'lettuce-leaf' => [1.3, 13.0], 'lettuce-picked' => [1.3, 13.0], 'pepper' => [1.5, 14.0],
        'sweet-potato' => [1.5, 11.0], 'corn' => [1.7, 12.0], 'potato-early' => [1.7, 12.0], 'potato-storage' => [1.7, 12.0],
        'cabbage-early' => [1.8, 9.7], 'cabbage-storage' => [1.8, 9.7], 'celery' => [1.8, 6.2], 'spinach' => [2.0, 7.6],
        'spinach-autumn' => [2.0, 7.6], 'cucumber' => [2.5, 13.0], 'tomato' => [2.5, 9.9], 'broccoli' => [2.8, 9.2], 'beet' => [4.0, 9.0],
        'beet-storage' => [4.0, 9.0], 'squash-summer' => [4.7, 9.4], 'asparagus' => [4.1, 2.0]];
    /** What no table names is taken as middling (own model). */
    private const OTHERS = [1.5, 12.0];

    /** Share of the yield lost. */
    public static function loss(string $item, float $paste): float
    {
        [$from, $slope] = self::BEARS[$item] ?? self::OTHERS;

        return min(1.0, max(0.0, ($paste - $from) * $slope / 100));
    }
}
