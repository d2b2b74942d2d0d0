<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Shelter\CoverCalendar;

/**
 * How soft the ready day of a planting is, for a drawing of many: about when it is ready early in one year of ten, and late
 * in nine. A quick stand-in for ReadyRange, which runs the whole sums: development goes faster by as large a share as the
 * weather is warmer above the crop's base (own model; a test holds the two together).
 */
final class SoftEdge
{
    /** As above the reference everything, what is warmer there counts less. */
    private const DAMPED = 0.4;
    /** A day counts for the mean every so many days. */
    private const STEP = 5;
    private const LEAST = 3.0;

    /** @return array{int, int}|null day numbers, early and late; null: it goes by the year or the day's length, or is ready already */
    public static function of(LocalTiming $timing, Crop $crop, CoverCalendar $covers, int $ground, int $ready, int $today): ?array
    {
        if ($crop->growth->anchored || null !== $crop->growth->bulbHours || $ready <= $today || $ready <= $ground) {
            return null;
        }
        $ripening = $timing->of($crop, $covers);
        $whole = $ripening->counted($ground, $ready);
        $sum = $spread = 0.0;
        $count = 0;
        for ($day = $ground; $day < $ready; $day += self::STEP) {
            $air = $timing->airOn($day, $covers);
            $i = $day - $timing->weather->first;
            if (null !== $air && isset($timing->weather->nights[$i])) {
                $sum += $air;
                $spread += ($timing->weather->nights[$i] + $timing->weather->noons[$i]) / 2;
                ++$count;
            }
        }
        if (0 === $count || $whole <= 0.0) {
            return null;
        }
        $degrees = $spread / $count * ReadyRange::spreadsOver($ready - $ground);
        $above = max(self::LEAST, $sum / $count - $crop->growth->temperature->least);
        $share = $degrees / $above * ($sum / $count > $crop->growth->reference ? self::DAMPED : 1.0);
        $early = $ripening->after($ground, $whole * (1 - min(0.9, $share)));
        $late = $ripening->after($ground, $whole * (1 + $share));

        return null === $early || null === $late ? null : [max($today, min($early, $ready)), max($late, $ready)];
    }
}
