<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Ways\Candidate;

/** Corn is wind-pollinated: it wants three rows and more side by side in flower together (common practice, no source). */
final class BedCorn
{
    /** Sown so many days apart and less they flower together. */
    private const TOGETHER_DAYS = 9;
    private const ROWS = 3;

    public static function wantsBlocks(Crop $crop): bool
    {
        return 'grain' === $crop->habits->rotation && Pattern::GreenManure !== $crop->pattern;
    }

    /** @param non-empty-list<WeighedPiece> $pieces */
    public static function isBlock(Ground $ground, Crop $crop, Candidate $candidate, array $pieces): bool
    {
        $places = array_map(static fn (WeighedPiece $piece): int => $piece->order, $pieces);
        $rows = array_map(static fn (WeighedPiece $piece): int => Spacing::rowsOn($crop->stand, $piece->bed->width), $pieces);
        $areBeside = \count(array_unique($places)) === \count($pieces) && max($places) - min($places) < \count($pieces);
        if (min($rows) >= self::ROWS || ($areBeside && array_sum($rows) >= self::ROWS)) {
            return true;
        }
        foreach ($ground->all() as $bed => $stands) {
            $isBeside = abs(($ground->order[$bed] ?? -9) - $places[0]) <= 1;
            foreach ($isBeside ? $stands : [] as $stand) {
                if (!$stand->isPast && $stand->item === $candidate->item && abs($stand->ready - $candidate->ready) <= self::TOGETHER_DAYS) {
                    return true;
                }
            }
        }

        return false;
    }
}
