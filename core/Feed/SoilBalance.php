<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\SoilLevel;

/**
 * What went into a bed over the years and what came off it. Off with the harvest goes what the table of needs gives at the
 * middling level: there it makes up for what is carried away (AHDB RB209, from memory). Nitrogen does not stay and is left out.
 */
final class SoilBalance
{
    private const GRAMS = 0.1;

    /** @return list<YearBalance> from the first year anything is known of, to this one */
    public static function of(Garden $garden, CropBook $crops, NeedTable $needs, Bed $bed): array
    {
        $in = $out = [];
        foreach ($garden->soil->spreads as $spread) {
            if ($spread->bed === $bed->name) {
                $year = $spread->day->year();
                $in[$year] = ($in[$year] ?? Nutrients::none())->plus($spread->total()->shared(0.0, 1.0, 1.0)
                    ->times(min(1.0, $spread->area->squareMetres / $bed->area()->squareMetres)));
            }
        }
        $off = static function (string $crop, Stretch $piece, int $year, float $yield) use (&$out, $crops, $needs, $bed): void {
            if ($piece->bed !== $bed->name || !$crops->has($crop) || Pattern::GreenManure === $crops->get($crop)->pattern) {
                return;
            }
            $share = min(1.0, $piece->length()->micrometres / $bed->length->micrometres) * $piece->widthShare * $yield * self::GRAMS;
            $out[$year] = ($out[$year] ?? Nutrients::none())->plus($needs->of($crops->get($crop))->at(SoilLevel::Middling,
                SoilLevel::Middling)
                ->shared(0.0, $share, $share));
        };
        foreach ($garden->history as $past) {
            $off($past->crop, $past->stretch, $past->cleared->year(), 1.0);
        }
        foreach ($garden->plantings as $planting) {
            $crop = $crops->grown($planting->item, $planting->variety);
            foreach ($planting->ready->isBefore($garden->today) ? $planting->pieces : [] as $piece) {
                $off($crop->key, $piece, $planting->ready->year(), $crop->produce->perMetre > 0.0 ? $planting->yieldPerMetre()
                    / $crop->produce->perMetre : 1.0);
            }
        }

        return self::years($in, $out, $garden->today->year());
    }

    /**
     * @param array<int, Nutrients> $in
     * @param array<int, Nutrients> $out
     *
     * @return list<YearBalance>
     */
    private static function years(array $in, array $out, int $last): array
    {
        $left = Nutrients::none();
        $years = [];
        for ($year = min([$last, ...array_keys($in), ...array_keys($out)]); $year <= $last; ++$year) {
            $left = $left->plus($in[$year] ?? Nutrients::none())->minus($out[$year] ?? Nutrients::none());
            $years[] = new YearBalance($year, $in[$year] ?? Nutrients::none(), $out[$year] ?? Nutrients::none(), $left);
        }

        return $years;
    }
}
