<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

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
     * Cells are parted by tabs, else by semicolons, else by commas, else by two or more spaces; quotation marks hold a cell together.
     *
     * @return list<list<string>> without empty rows; all rows equally wide
     */
    public static function rows(string $text): array
    {
        $lines = array_values(array_filter(preg_split('/\R/u', $text) ?: [], static fn (string $line): bool => '' !== trim($line)));
        $mark = self::mark($lines);
        $rows = array_map(static fn (string $line): array => array_map(static fn (?string $cell): string => trim((string) $cell),
            null === $mark ? (preg_split('/ {2,}/', trim($line)) ?: []) : str_getcsv($line, $mark, '"', '')), $lines);
        $wide = max([0, ...array_map(\count(...), $rows)]);

        return array_map(static fn (array $row): array => array_pad(array_values($row), $wide, ''), $rows);
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
