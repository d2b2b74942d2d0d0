<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Exception\Limits;

/** Text out of a spreadsheet, a list or a file as rows of cells. */
final class Cells
{
    /** @return string UTF-8, whatever of UTF-8, UTF-16 and Windows-1252 it was; control characters but tab and line end are taken out */
    public static function decode(string $bytes): string
    {
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };

        return (string) preg_replace('/[^\P{C}\t\r\n]+/u', '', mb_scrub((string) $text, 'UTF-8'));
    }

    /**
     * Cells are parted by tabs, else by semicolons, else by commas, else by two or more spaces; quotation marks hold a cell
     * together. Rows, columns and cells are counted first: nothing is made of what is too large.
     *
     * @return list<list<string>> without empty rows; all rows equally wide
     *
     * @throws TooMuch
     */
    public static function rows(string $text, int $mostRows = Limits::ROWS, int $mostColumns = Limits::COLUMNS): array
    {
        $lines = self::lines($text, $mostRows, $mostColumns);
        $mark = self::mark($lines);
        $bare = static fn (?string $cell): string => FormulaGuard::off(trim((string) $cell));
        $rows = array_map(static fn (string $line): array => array_map($bare,
            null === $mark ? (preg_split('/ {2,}/', trim($line)) ?: []) : str_getcsv($line, $mark, '"', '')), $lines);
        foreach ($rows as $i => $row) {
            if (\count($row) > $mostColumns) {
                throw TooMuch::columns($i + 1, $mostColumns);
            }
            if ([] !== array_filter($row, static fn (string $cell): bool => \strlen($cell) > Limits::CELL
                && mb_strlen($cell) > Limits::CELL)) {
                throw TooMuch::cell($i + 1);
            }
        }
        $wide = max([0, ...array_map(\count(...), $rows)]);

        return array_map(static fn (array $row): array => array_pad(array_values($row), $wide, ''), $rows);
    }

    /** @return list<string> those that are not empty */
    private static function lines(string $text, int $most, int $mostColumns): array
    {
        $longest = $mostColumns * (4 * Limits::CELL + 3);
        $text = str_replace(["\r\n", "\r", "\u{2028}", "\u{2029}", "\u{85}"], "\n", $text);
        $lines = [];
        for ($at = 0, $end = \strlen($text); $at < $end; $at += $length + 1) {
            $length = strcspn($text, "\n", $at);
            if ($length > $longest) {
                throw TooMuch::line(substr($text, $at, $longest), \count($lines) + 1, $mostColumns);
            }
            if (0 === $length || '' === trim(substr($text, $at, $length))) {
                continue;
            }
            if (\count($lines) >= $most) {
                throw TooMuch::rows($most);
            }
            $lines[] = substr($text, $at, $length);
        }

        return $lines;
    }

    /** @param list<string> $lines */
    private static function mark(array $lines): ?string
    {
        foreach (["\t", ';', ','] as $mark) {
            $with = \count(array_filter($lines, static fn (string $line): bool => str_contains($line, $mark)));
            if ($with > 0 && $with * 2 >= \count($lines)) {
                return $mark;
            }
        }

        return null;
    }
}
