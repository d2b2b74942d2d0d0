<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Paste\FormulaGuard;
use JollyFurrow\Paste\TooMuch;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/** Rows of text out of a CSV or spreadsheet file, and into one. Every cell is text: none is a formula. */
final class SheetFile
{
    /**
     * @return list<list<string>>
     *
     * @throws UnusableSheet
     * @throws TooMuch
     */
    public static function read(string $bytes, int $mostRows = Limits::ROWS): array
    {
        if (\strlen($bytes) > Limits::SHEET_BYTES) {
            throw TooMuch::bytes(Limits::SHEET_BYTES);
        }
        $rows = self::isWorkbook($bytes) ? self::workbook($bytes, $mostRows) : self::csv($bytes, $mostRows);
        foreach ($rows as $i => $row) {
            if ([] !== array_filter($row, static fn (string $cell): bool => mb_strlen($cell) > Limits::CELL)) {
                throw TooMuch::cell($i + 1);
            }
        }

        return $rows;
    }

    public static function isWorkbook(string $bytes): bool
    {
        return str_starts_with($bytes, "PK\x03\x04");
    }

    /**
     * The first sheet of a workbook as it is shown, its days as ISO dates; empty rows left out, all rows equally wide.
     *
     * @return list<list<string>>
     *
     * @throws UnusableSheet
     * @throws TooMuch
     */
    public static function shown(string $bytes, int $mostRows = Limits::ROWS): array
    {
        if (\strlen($bytes) > Limits::SHEET_BYTES) {
            throw TooMuch::bytes(Limits::SHEET_BYTES);
        }
        $rows = self::workbook($bytes, $mostRows, static function (Worksheet $sheet): array {
            $rows = [];
            foreach ($sheet->getRowIterator() as $row) {
                $cells = [];
                foreach ($row->getCellIterator() as $cell) {
                    $cells[] = Date::isDateTime($cell) && is_numeric($cell->getValue())
                        ? Date::excelToDateTimeObject((float) $cell->getValue())->format('Y-m-d') : $cell->getFormattedValue();
                }
                $rows[] = $cells;
            }

            return $rows;
        });
        $rows = array_values(array_filter(array_map(static fn (array $row): array => array_map(trim(...), $row), $rows),
            static fn (array $row): bool => '' !== implode('', $row)));
        $wide = max([0, ...array_map(\count(...), $rows)]);

        return array_map(static fn (array $row): array => array_pad($row, $wide, ''), $rows);
    }

    /** @param list<list<string>> $rows */
    public static function toCsv(array $rows): string
    {
        $file = fopen('php://temp', 'r+');
        \assert(false !== $file);
        foreach ($rows as $row) {
            fputcsv($file, array_map(FormulaGuard::on(...), $row), ',', '"', '', "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * An Office Open XML workbook (ECMA-376) of one sheet, its cells inline text.
     *
     * @param list<list<string>> $rows
     */
    public static function toWorkbook(array $rows): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        $head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
        $zip->addFromString('[Content_Types].xml',
            $head.'<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>');
        $zip->addFromString('_rels/.rels',
            $head.'<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>');
        $zip->addFromString('xl/workbook.xml',
            $head.'<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Crop values" sheetId="1" r:id="rId1"/></sheets></workbook>');
        $zip->addFromString('xl/_rels/workbook.xml.rels',
            $head.'<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>');
        $cell = static fn (string $text): string => '<c t="inlineStr"><is><t xml:space="preserve">'.htmlspecialchars($text,
            \ENT_XML1).'</t></is></c>';
        $zip->addFromString('xl/worksheets/sheet1.xml',
            $head.'<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>'.implode('',
                array_map(static fn (array $row): string => '<row>'.implode('', array_map($cell, $row)).'</row>',
                    $rows)).'</sheetData></worksheet>');
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @return list<list<string>> */
    private static function csv(string $bytes, int $mostRows): array
    {
        $bytes = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        self::mustHaveShortLines($bytes);
        $first = substr($bytes, 0, strcspn($bytes, "\r\n"));
        $between = ',';
        foreach ([';', "\t"] as $other) {
            $between = substr_count($first, $other) > substr_count($first, $between) ? $other : $between;
        }
        $file = fopen('php://temp', 'r+');
        \assert(false !== $file);
        fwrite($file, $bytes);
        rewind($file);
        $rows = [];
        while (false !== ($row = fgetcsv($file, null, $between, '"', ''))) {
            if (\count($row) > Limits::COLUMNS) {
                throw TooMuch::columns(\count($rows) + 1, Limits::COLUMNS);
            }
            if (\count($rows) > $mostRows) {
                throw TooMuch::rows($mostRows);
            }
            $rows[] = array_map(static fn (?string $cell): string => FormulaGuard::off($cell ?? ''), $row);
        }

        return $rows;
    }

    /** A line longer than its cells may be is refused before it is parted into any. */
    private static function mustHaveShortLines(string $bytes): void
    {
        for ($at = 0, $end = \strlen($bytes); $at < $end; $at += $length + 1) {
            $length = strcspn($bytes, "\r\n", $at);
            if ($length > Limits::COLUMNS * (4 * Limits::CELL + 3)) {
                throw TooMuch::line(substr($bytes, $at, $length), 1 + substr_count($bytes, "\n", 0, $at), Limits::COLUMNS);
            }
        }
    }

    /**
     * @param (callable(Worksheet): list<list<string>>)|null $shown null: the values alone
     *
     * @return list<list<string>>
     */
    private static function workbook(string $bytes, int $mostRows, ?callable $shown = null): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, $bytes);
        // Broken XML is told as an unusable sheet, never as a warning of the parser's.
        $told = libxml_use_internal_errors(true);
        try {
            SheetScan::of($path, $mostRows);
            $reader = IOFactory::createReaderForFile($path, [IOFactory::READER_XLSX, IOFactory::READER_ODS]);
            $reader->setReadDataOnly(null === $shown)->setReadEmptyCells(false)->setReadFilter(new WithinLimits($mostRows + 1));
            $book = $reader->load($path);
            $sheet = $book->getActiveSheet();
            if (null !== $shown) {
                return $shown($sheet);
            }
            $rows = $sheet->toArray('', false, false);
        } catch (TooMuch $much) {
            throw $much;
        } catch (\Throwable $trouble) {
            throw UnusableSheet::unreadable($trouble);
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($told);
            unlink($path);
        }

        return array_map(static fn (mixed $row): array => \is_array($row) ? array_map(static fn (mixed $cell): string => \is_scalar($cell)
            ? (string) $cell : '', array_values($row)) : [], array_values($rows));
    }
}
