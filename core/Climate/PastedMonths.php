<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/**
 * Monthly means as they come out of a spreadsheet, a table on a page or a keyboard: three lines of twelve (minimum,
 * maximum, rain), or two without rain, or twelve lines of two or three; parted by blanks, tabs, commas or semicolons,
 * with decimal points or decimal commas; words in between are passed over.
 */
final class PastedMonths
{
    private const YEAR = 12;
    private const NUMBER = '/^[+-]?\d+(?:[.,]\d+)?$/';

    /** @return array{min: list<float>, max: list<float>, rain: list<float>} as many as there are */
    public static function read(string $text): array
    {
        $minus = strtr($text, ["\u{2212}" => '-', "\u{2013}" => '-']);
        $rows = array_values(array_filter(array_map(self::numbers(...), preg_split('/\R/', $minus) ?: [])));
        if (1 === \count($rows) && \in_array(\count($rows[0]), [2 * self::YEAR, 3 * self::YEAR], true)) {
            $rows = array_chunk($rows[0], self::YEAR);
        }
        $width = [] === $rows ? 0 : \count($rows[0]);
        if (self::YEAR === \count($rows) && (2 === $width || 3 === $width)) {
            $rows = array_map(static fn (int $column): array => array_column($rows, $column), range(0, $width - 1));
        }

        return ['min' => $rows[0] ?? [], 'max' => $rows[1] ?? [], 'rain' => $rows[2] ?? []];
    }

    /**
     * A comma parts numbers where the line would not have enough of them otherwise, else it is a decimal comma.
     *
     * @return list<float>
     */
    private static function numbers(string $line): array
    {
        $byBlanks = self::parted($line, '/[\s;|]+/');
        $byCommas = self::parted($line, '/[\s;|,]+/');
        $isParted = \in_array(\count($byCommas), [self::YEAR, 2 * self::YEAR, 3 * self::YEAR], true)
            && \count($byBlanks) < \count($byCommas);

        return $isParted ? $byCommas : $byBlanks;
    }

    /** @return list<float> */
    private static function parted(string $line, string $separator): array
    {
        $numbers = [];
        foreach (preg_split($separator, trim($line)) ?: [] as $word) {
            if (1 === preg_match(self::NUMBER, rtrim($word, ','))) {
                $numbers[] = (float) str_replace(',', '.', rtrim($word, ','));
            }
        }

        return $numbers;
    }
}
