<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/**
 * Yield of a metre at another density than the book's, by the reciprocal law of Shinozaki & Kira 1956: the weight of a
 * plant is 1 / (a + b x density), so yield a metre rises with density towards a most. How near the book's dense stand
 * is to that most is our own choice.
 */
final class YieldByDensity
{
    /** The book's stand gives this share of the most that could be had at any density (own model). */
    private const NEARNESS = 0.8;

    /**
     * @param float $times density as a multiple of the book's
     *
     * @return float yield as a multiple of the book's; where each plant is sold as one, that is the density
     */
    public static function times(Crop $crop, float $times): float
    {
        if ('head' === $crop->produce->unit || 'rosette' === $crop->produce->unit) {
            return $times;
        }

        return $times / (1 - self::NEARNESS + self::NEARNESS * $times);
    }
}
