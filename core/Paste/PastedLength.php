<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Measure\InvalidLength;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\LengthUnit;

/** Lengths as growers write them: "12 m", "40 ft", "half", "1/4 bed", "3/4", "50 %"; nothing is the whole bed. */
final class PastedLength
{
    private const SHARES = ['whole' => 1.0, 'full' => 1.0, 'all' => 1.0, '1/1' => 1.0, 'half' => 0.5, '1/2' => 0.5, '½' => 0.5,
        'quarter' => 0.25, 'a quarter' => 0.25, '1/4' => 0.25, '¼' => 0.25, 'three quarters' => 0.75, '3/4' => 0.75, '¾' => 0.75,
        'third' => 1 / 3, 'a third' => 1 / 3, '1/3' => 1 / 3, '⅓' => 1 / 3, '2/3' => 2 / 3, '⅔' => 2 / 3];

    /** @throws InvalidLength */
    public static function parse(string $text, Length $bed, LengthUnit $bare): Length
    {
        if (1 === preg_match('/^\s*(1|one|a)\s+(whole\s+|full\s+)?bed\s*$/iu', $text)) {
            return $bed;
        }
        $plain = trim(mb_strtolower((string) preg_replace('/\s*\b(of\s+)?(a\s+|the\s+)?beds?\b\.?/iu', '', $text)));
        $share = '' === $plain ? 1.0 : self::SHARES[$plain] ?? self::percent($plain);
        if (null !== $share) {
            return Length::fromMicrometres((int) round($bed->micrometres * $share));
        }

        return Length::parse($plain, $bare, 0.1, $bed->metres());
    }

    public static function isOne(string $text): bool
    {
        try {
            return '' !== trim($text) && self::parse($text, Length::fromMetres(1000), LengthUnit::Metre)->micrometres > 0;
        } catch (InvalidLength) {
            return false;
        }
    }

    private static function percent(string $text): ?float
    {
        return 1 === preg_match('/^(\d{1,3})\s*%$/', $text, $m) && (int) $m[1] > 0 && (int) $m[1] <= 100 ? (int) $m[1] / 100 : null;
    }
}
