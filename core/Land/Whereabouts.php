<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Exception\Quote;

/**
 * Where a garden lies, as people write it: "40° N", "S 33.9", "40.5, -3.7", "40°25'N 3°42'W", "46,9 north, 310 m". Degrees
 * south are negative. A longitude is understood and not needed.
 */
final readonly class Whereabouts
{
    /** Nearer the poles the sun does not set, or does not rise, and nothing here holds. */
    public const MOST = 66.0;
    private const HIGHEST = 5000.0;
    private const LOWEST = -400.0;
    private const METRES_A_FOOT = 0.3048;
    private const ALTITUDE = '/([+-]?\d+(?:[.,]\d+)?)\s*(m|metres?|meters?|ft|feet|foot)(?![a-z])'
        .'(\s*(above|over)?\s*(sea level|sea|asl|a\.s\.l\.))?/iu';
    private const DEGREES = '([+-]?\d+(?:[.,]\d+)?)\s*(?:°|º)?\s*(?:(\d+(?:[.,]\d+)?)\s*\'\s*(?:(\d+(?:[.,]\d+)?)\s*"\s*)?)?';

    /** @param int|null $altitude metres; null: not said */
    private function __construct(public float $latitude, public ?int $altitude)
    {
    }

    /** @throws InvalidWhereabouts */
    public static function parse(string $text): self
    {
        $plain = self::plain($text);
        $altitude = self::altitude($plain);
        $degrees = self::degrees(trim((string) preg_replace(self::ALTITUDE, ' ', $plain), ' ,;'), $text);
        if (abs($degrees) > self::MOST) {
            throw InvalidWhereabouts::tooFar(Quote::of($text));
        }

        return new self(round($degrees, 4), $altitude);
    }

    private static function plain(string $text): string
    {
        $signs = strtr($text, ["\u{2212}" => '-', "\u{2013}" => '-', '′' => "'", '’' => "'", '″' => '"', '”' => '"', "''" => '"',
            "\u{A0}" => ' ', "\u{202F}" => ' ']);

        return (string) preg_replace(['/\b(?:lat(?:itude)?|lon(?:g(?:itude)?)?)\b[.:]?/i', '/\bdeg(?:rees?)?\b\.?/i', '/\bnorth\b/i',
            '/\bsouth\b/i', '/\beast\b/i', '/\bwest\b/i', '/\b(?:on|at) the equator\b|\bequator\b/i'], [' ', '°', 'N', 'S', 'E', 'W', '0'],
            $signs);
    }

    private static function altitude(string $plain): ?int
    {
        if (1 !== preg_match(self::ALTITUDE, $plain, $m)) {
            return null;
        }
        $metres = (float) str_replace(',', '.', $m[1]) * (str_starts_with(strtolower($m[2]), 'f') ? self::METRES_A_FOOT : 1.0);
        if ($metres < self::LOWEST || $metres > self::HIGHEST) {
            throw InvalidWhereabouts::tooHigh(Quote::of($m[0]));
        }

        return (int) round($metres);
    }

    private static function degrees(string $plain, string $typed): float
    {
        $isLetterFirst = 1 === preg_match('/^[NSEW]/i', $plain);
        $one = $isLetterFirst ? '([NSEW])\s*'.self::DEGREES : self::DEGREES.'([NSEW])?';
        if (1 !== preg_match('/^'.$one.'(?:[\s,;]+'.$one.')?$/iu', $plain, $m)) {
            throw InvalidWhereabouts::notAPlace(Quote::of($typed));
        }
        $found = array_map(static fn (array $part): array => $isLetterFirst ? [strtoupper($part[0] ?? ''), \array_slice($part, 1)]
            : [strtoupper($part[3] ?? ''), \array_slice($part, 0, 3)], array_chunk(\array_slice($m, 1), 4));
        foreach ($found as $i => [$letter, $numbers]) {
            if (\in_array($letter, ['N', 'S'], true) || (0 === $i && '' === $letter)) {
                return self::value($numbers, 'S' === $letter);
            }
        }
        throw InvalidWhereabouts::notAPlace(Quote::of($typed));
    }

    /** @param array<string> $numbers degrees, minutes, seconds */
    private static function value(array $numbers, bool $isSouth): float
    {
        [$degrees, $minutes, $seconds] = array_map(static fn (string $n): float => (float) str_replace(',', '.', $n),
            array_pad(array_values($numbers),
                3, '0'));
        $size = abs($degrees) + $minutes / 60 + $seconds / 3600;

        return $isSouth || str_starts_with($numbers[0] ?? '', '-') ? -$size : $size;
    }
}
