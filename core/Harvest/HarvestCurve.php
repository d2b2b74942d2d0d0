<?php

declare(strict_types=1);

namespace JollyFurrow\Harvest;

use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Rhythm;

/**
 * When the yield of a metre comes: shares of the whole by days after the first harvest.
 *
 * Own model: cuts shrink by a fixed share from one to the next; picking climbs in a straight line over the
 * ramp, stays, and sinks to four tenths over its last third. The shapes follow common practice, no source.
 */
final readonly class HarvestCurve
{
    private const START = 0.4;
    private const END = 0.4;

    /** @return non-empty-array<int, float> share of the whole yield by days after ready; sums to 1 */
    public static function shares(Pattern $pattern, Rhythm $rhythm): array
    {
        return match ($pattern) {
            Pattern::Cuts => self::normalised(self::cuts($rhythm)),
            Pattern::Picking, Pattern::Perennial => self::normalised(self::picking($rhythm)),
            Pattern::Once, Pattern::DigAsNeeded, Pattern::GreenManure => [0 => 1.0],
        };
    }

    /** @return non-empty-array<int, float> */
    private static function cuts(Rhythm $rhythm): array
    {
        $weights = [0 => 1.0];
        for ($cut = 1; $cut < $rhythm->cuts; ++$cut) {
            $weights[$cut * $rhythm->every] = $rhythm->laterShare ** $cut;
        }

        return $weights;
    }

    /** @return non-empty-array<int, float> */
    private static function picking(Rhythm $rhythm): array
    {
        $weights = [0 => 1.0];
        $decline = (int) ceil($rhythm->lasts * 2 / 3);
        for ($day = 0; 0 === $day || $day < $rhythm->lasts; $day += $rhythm->every) {
            $rise = $rhythm->ramp > 0 ? min(1.0, self::START + (1 - self::START) * $day / $rhythm->ramp) : 1.0;
            $fall = $day <= $decline ? 1.0 : 1.0 - (1 - self::END) * ($day - $decline) / max(1, $rhythm->lasts - $decline);
            $weights[$day] = min($rise, $fall);
        }

        return $weights;
    }

    /**
     * @param non-empty-array<int, float> $weights
     *
     * @return non-empty-array<int, float>
     */
    private static function normalised(array $weights): array
    {
        $sum = array_sum($weights);

        return array_map(static fn (float $weight): float => $weight / $sum, $weights);
    }
}
