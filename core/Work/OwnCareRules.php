<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Working\Source;

/** The grower's own care, on the same footing as what ships. */
final class OwnCareRules
{
    private const UNTIL_READY = 1.0;
    /** Well into the harvest. */
    private const GOES_ON = 1.6;

    /**
     * @param list<OwnCare> $own
     *
     * @return list<CareRule>
     */
    public static function of(array $own): array
    {
        return array_map(static fn (OwnCare $care): CareRule => new CareRule('own-'.$care->key, $care->words,
            CarePoint::from($care->from), $care->after, 0.0, $care->every, $care->goesOn ? self::GOES_ON : self::UNTIL_READY,
            [$care->crop], [], [], [], 0, $care->hours, 'hands', Source::garden(),
            threshold: $care->threshold), $own);
    }
}
