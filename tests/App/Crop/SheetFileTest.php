<?php

declare(strict_types=1);

namespace App\Tests\Crop;

use App\Crop\SheetFile;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Paste\TooMuch;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Rows out of the files people really have: commas, semicolons, tabs, a byte order mark, workbooks of other programs. */
final class SheetFileTest extends TestCase
{
    private const ROWS = [['crop', 'value', 'is'], ['radish', 'rows', '7'], ['radish', 'note_quality', 'crisp; not, hot']];

    #[TestWith(["crop,value,is\nradish,rows,7\nradish,note_quality,\"crisp; not, hot\"\n"])]
    #[TestWith(["crop;value;is\r\nradish;rows;7\r\nradish;note_quality;\"crisp; not, hot\"\r\n"])]
    #[TestWith(["crop\tvalue\tis\nradish\trows\t7\nradish\tnote_quality\tcrisp; not, hot\n"])]
    #[TestWith(["\xEF\xBB\xBFcrop,value,is\nradish,rows,7\nradish,note_quality,\"crisp; not, hot\""])]
    public function testTextInItsUsualForms(string $bytes): void
    {
        self::assertSame(self::ROWS, SheetFile::read($bytes));
    }

    public function testACellMayHoldLinesQuotesAndLetters(): void
    {
        $rows = [['a', "two\nlines", 'he said "ha"'], ['ä€', '', ' spaced ']];

        self::assertSame($rows, SheetFile::read(SheetFile::toCsv($rows)));
        self::assertSame($rows, SheetFile::read(SheetFile::toWorkbook($rows)));
    }

    /** Nothing in a workbook of ours is a formula, and text that looks like one stays text. */
    public function testNothingBecomesAFormula(): void
    {
        $rows = [['=1+1', '+cmd', '@x', '-2', '007', "'=1", "''-x", '-1+1|x', '-', '+1,5e3', "O'Hara"]];
        $zip = new \ZipArchive();
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, SheetFile::toWorkbook($rows));
        $zip->open($path);

        self::assertStringNotContainsString('<f>', (string) $zip->getFromName('xl/worksheets/sheet1.xml'));
        self::assertSame($rows, SheetFile::read(SheetFile::toWorkbook($rows)));
        self::assertSame("'=1+1,'+cmd,'@x,-2,007,''=1,'''-x,'-1+1|x,'-,\"+1,5e3\",O'Hara\r\n", SheetFile::toCsv($rows));
        self::assertSame($rows, SheetFile::read(SheetFile::toCsv($rows)), 'the guard is taken off again');
    }

    /** A workbook as other programs write it: shared text, numbers as numbers. */
    public function testAWorkbookOfAnotherProgram(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents($path, SheetFile::toWorkbook([['x']]));
        $zip = new \ZipArchive();
        $zip->open($path);
        $zip->addFromString('xl/sharedStrings.xml',
            '<sst xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" count="3" uniqueCount="3"><si><t>crop</t></si><si><t>rad</t></si><si><r><t>ra</t></r><r><t>dish</t></r></si></sst>');
        $zip->addFromString('xl/_rels/workbook.xml.rels',
            '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/sharedStrings" Target="sharedStrings.xml"/></Relationships>');
        $zip->addFromString('xl/worksheets/sheet1.xml',
            '<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData><row r="1"><c r="A1" t="s"><v>0</v></c><c r="C1" t="s"><v>1</v></c></row><row r="3"><c r="A3" t="s"><v>2</v></c><c r="B3"><v>0.85</v></c><c r="C3"><v>31</v></c></row></sheetData></worksheet>');
        $zip->close();

        self::assertSame([['crop', '', 'rad'], ['', '', ''], ['radish', '0.85', '31']], SheetFile::read((string) file_get_contents($path)));
    }

    public function testTooLargeAFileIsRefused(): void
    {
        $this->expectException(TooMuch::class);
        $this->expectExceptionMessage('bytes most=6');
        SheetFile::read(str_repeat('x', Limits::SHEET_BYTES + 1));
    }
}
