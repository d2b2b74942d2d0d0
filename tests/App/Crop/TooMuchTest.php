<?php

declare(strict_types=1);

namespace App\Tests\Crop;

use App\Crop\SheetFile;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\TooMuch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Small files that would become large: refused by what is too large in them, in under a second and 64 MB. */
final class TooMuchTest extends TestCase
{
    private const XLSX = '<worksheet '
        .'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>%s</sheetData></worksheet>';

    /** @param callable(): string $bytes */
    #[DataProvider('sheets')]
    public function testASheetIsRefusedBeforeItIsRead(callable $bytes, string $why): void
    {
        self::refusedQuickly(static fn (string $sheet) => SheetFile::read($sheet), $bytes(), $why);
    }

    /** @return iterable<string, array{callable(): string, string}> */
    public static function sheets(): iterable
    {
        $xlsx = static fn (string $rows): callable => static fn (): string => self::workbook(\sprintf(self::XLSX, $rows));
        $cell = static fn (string $at): string => '<c r="'.$at.'"><v>1</v></c>';
        yield 'one cell at the far corner' => [$xlsx('<row r="1048576">'.$cell('XFD1048576').'</row>'), 'columns line=1048576 most=12'];
        yield 'a thirteenth column' => [$xlsx('<row r="1">'.$cell('M1').'</row>'), 'columns line=1 most=12'];
        yield 'a cell far down' => [$xlsx('<row r="1">'.$cell('A1').'</row><row r="5002">'.$cell('A5002').'</row>'), 'rows most=5000'];
        yield '60 MB unpacked' => [static fn (): string => self::workbook(str_repeat(' ', 60_000_000)), 'unpacked most=50'];
        $many = static fn (): string => implode('', array_map(static fn (int $r): string => '<row>'.str_repeat('<c><v>1</v></c>',
            12).'</row>', range(1, 60_000)));
        yield 'sixty thousand rows' => [static fn (): string => self::workbook(\sprintf(self::XLSX, $many())), 'rows most=5000'];
        yield 'a cell repeated to the far corner' => [static fn (): string => self::ods(1_048_576, 16_384, 'x'), 'columns line=1 most=12'];
        yield 'a row repeated to the end' => [static fn (): string => self::ods(1_048_576, 1, 'x'), 'rows most=5000'];
        foreach (self::texts() as $name => $text) {
            yield $name.', as CSV' => $text;
        }
    }

    /** @param callable(): string $bytes */
    #[DataProvider('texts')]
    public function testAPastedTextIsRefusedBeforeItIsParted(callable $bytes, string $why): void
    {
        self::refusedQuickly(static fn (string $text) => Cells::rows(Cells::decode($text)), $bytes(), $why);
    }

    /** @return iterable<string, array{callable(): string, string}> */
    public static function texts(): iterable
    {
        yield '20,000 tabs' => [static fn (): string => str_repeat("\t", 20_000).'x', 'columns line=1 most=12'];
        yield '6 MB of commas' => [static fn (): string => str_repeat(',', 5_900_000).'x', 'columns line=1 most=12'];
        yield '6 MB of one letter' => [static fn (): string => str_repeat('x', 5_900_000), 'cell line=1 most=1000'];
        yield 'a cell of 1,001 characters' => [static fn (): string => 'a,'.str_repeat('é', 1001), 'cell line=1 most=1000'];
        yield 'thirteen columns' => [static fn (): string => "a,b\n".str_repeat('x,', 12).'x', 'columns line=2 most=12'];
        yield 'a million rows' => [static fn (): string => str_repeat("A1,radish\n", 500_000), 'rows most=5000'];
    }

    /** Empty lines are no rows: six million of them are an empty list. */
    public function testNewlinesAloneAreNothing(): void
    {
        memory_reset_peak_usage();
        $start = hrtime(true);

        self::assertSame([], Cells::rows(Cells::decode(str_repeat("\n", 5_900_000))));
        self::assertLessThan(3.0, (hrtime(true) - $start) / 1e9);
    }

    /** A formatted or repeated cell with nothing in it, as spreadsheets write them to the edge of the sheet, is no reason. */
    public function testEmptyCellsBeyondTheLimitsDoNotMatter(): void
    {
        $rows = '<row r="1"><c r="A1"><v>7</v></c><c r="Z1" s="1"/></row><row r="1048576"><c r="A1048576" s="1"/></row>';

        self::assertSame([['7']], array_map(static fn (array $r): array => \array_slice($r, 0, 1),
            \array_slice(SheetFile::read(self::workbook(\sprintf(self::XLSX, $rows))), 0, 1)));
        self::assertSame('', SheetFile::read(self::ods(1_048_576, 16_384, null))[0][0] ?? '');
        self::assertSame([['x', 'x'], ['x', 'x']], SheetFile::read(self::ods(2, 2, 'x')));
    }

    /** @param callable(string): mixed $read */
    private static function refusedQuickly(callable $read, string $bytes, string $why): void
    {
        memory_reset_peak_usage();
        [$start, $before] = [hrtime(true), memory_get_usage()];
        try {
            $read($bytes);
            self::fail('It was read.');
        } catch (TooMuch $much) {
            self::assertSame($why, $much->getMessage());
        }
        self::assertLessThan(64.0, (memory_get_peak_usage() - $before) / 1048576);
        self::assertLessThan(1.0, (hrtime(true) - $start) / 1e9);
    }

    private static function workbook(string $sheet): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, SheetFile::toWorkbook([['x']]));
        $zip = new \ZipArchive();
        $zip->open($path);
        $zip->addFromString('xl/worksheets/sheet1.xml', $sheet);
        $zip->close();

        return self::taken($path);
    }

    /** An OpenDocument sheet (ISO/IEC 26300) of one cell, repeated; null: with nothing in it. */
    private static function ods(int $rows, int $columns, ?string $text): string
    {
        $names = '';
        foreach (['office', 'table', 'text', 'style'] as $name) {
            $names .= ' xmlns:'.$name.'="urn:oasis:names:tc:opendocument:xmlns:'.$name.':1.0"';
        }
        $cell = \sprintf('<table:table-cell table:number-columns-repeated="%d"%s', $columns, null === $text ? '/>'
            : ' office:value-type="string"><text:p>'.$text.'</text:p></table:table-cell>');
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        $zip->addFromString('mimetype', 'application/vnd.oasis.opendocument.spreadsheet');
        $zip->addFromString('meta.xml', '<?xml version="1.0"?><office:document-meta'.$names.'/>');
        $zip->addFromString('styles.xml', '<?xml version="1.0"?><office:document-styles'.$names.'/>');
        $zip->addFromString('content.xml',
            \sprintf('<?xml version="1.0"?><office:document-content%s><office:body><office:spreadsheet><table:table '
                .'table:name="a"><table:table-row '
                .'table:number-rows-repeated="%d">%s</table:table-row></table:table></office:spreadsheet></office:body>'
                .'</office:document-content>', $names, $rows, $cell));
        $zip->close();

        return self::taken($path);
    }

    private static function taken(string $path): string
    {
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
