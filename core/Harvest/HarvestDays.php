<?php

declare(strict_types=1);

namespace JollyFurrow\Harvest;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;

/**
 * On which days the cuts and pickings of a sowing come at a place: regrowth goes by warmth and light, heat takes its share,
 * and what ends the harvest ends it.
 */
final class HarvestDays
{
    /** @return array<int, float> share of the whole yield by day number; none for a stock, or where nothing comes */
    public static function of(Crop $crop, Ripening $ripening, Ripeness $ripe): array
    {
        $days = [];
        foreach ($crop->pattern->isStock() ? [] : HarvestCurve::shares($crop->pattern, $crop->rhythm) as $after => $share) {
            $day = $ripening->after($ripe->ready, (float) $after);
            $left = null === $day || $day > $ripe->lastGood ? 0.0 : $ripening->leftByHeat($day);
            if (null !== $day && $left > 0.0) {
                $days[$day] = ($days[$day] ?? 0.0) + $share * $left;
            }
        }

        return $days;
    }
}
