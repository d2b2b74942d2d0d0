<?php

declare(strict_types=1);

namespace App\Tests\Sheets;

use App\Sheets\Sheet;
use App\Sheets\SheetFiles;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Reader;

/** Sheets of the small garden: four beds, one planting of leeks. */
final class SheetsTest extends AppCase
{
    /** @return iterable<string, array{string, float, float}> paper and its size in points: ISO 216 and ANSI */
    public static function papers(): iterable
    {
        yield 'A3' => ['a3', 420 / 25.4 * 72, 297 / 25.4 * 72];
        yield 'A4' => ['a4', 297 / 25.4 * 72, 210 / 25.4 * 72];
        yield 'letter' => ['letter', 11 * 72.0, 8.5 * 72];
    }

    /** The drawing has the paper's size, every bed once, and the crop with its length; nothing lies outside. */
    #[DataProvider('papers')]
    public function testTheWallOnPaper(string $paper, float $width, float $height): void
    {
        $svg = $this->svg('/wall/paper.svg?paper='.$paper);
        self::assertEqualsWithDelta([$width, $height], [(float) $svg->getAttribute('width'), (float) $svg->getAttribute('height')], 0.1);
        $texts = [];
        foreach ($svg->getElementsByTagName('text') as $text) {
            $texts[] = $text->textContent;
            self::assertGreaterThanOrEqual(0.0, (float) $text->getAttribute('x'));
            self::assertLessThanOrEqual($width, (float) $text->getAttribute('x'));
            self::assertLessThanOrEqual($height, (float) $text->getAttribute('y'));
        }
        foreach (['A1', 'A2', 'A3', 'T1'] as $bed) {
            self::assertCount(1, array_keys($texts, $bed, true), $bed);
        }
        self::assertContains('○ Leek', $texts, 'ready before the season began: without its length');
    }

    /** Only blacks, greys and white: a printer has no more. */
    public function testNothingIsColoured(): void
    {
        foreach (['wall', 'cards', 'map'] as $print) {
            $this->browser->request('GET', $this->path('/wall/paper.svg?print='.$print));
            preg_match_all('/(?:fill|stroke)="#([0-9a-f]{3,6})"/', $this->svgText(), $colours);
            foreach (array_unique($colours[1]) as $colour) {
                self::assertSame(1, preg_match('/^(.{1,2})\1\1$/', $colour), $print.' #'.$colour);
            }
        }
    }

    public function testThePdfHasThePagesOfThePaper(): void
    {
        $this->browser->request('GET', $this->path('/wall/paper.pdf?print=cards&paper=a4'));
        self::assertResponseHeaderSame('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF-', $this->svgText());
        self::assertSame(1, preg_match('/\/MediaBox \[0\.000 0\.000 841\.890 595\.280\]/', $this->svgText()));
        self::assertSame(1, preg_match_all('/\/Type \/Page\b/', $this->svgText()), 'four cards fit on a sheet');
    }

    /** Many beds go on to a second sheet, none twice. */
    public function testManyBedsTakeMoreSheets(): void
    {
        $beds = array_map(static fn (int $n): array => ['name' => 'A'.$n, 'block' => 'A', 'length_mm' => 25000, 'width_mm' => 750,
            'path_mm' => 450, 'place' => 'field'], range(4, 60));
        $this->garden = $this->keep(SmallGarden::json(['beds' => [...\array_slice((array) SmallGarden::values()['beds'], 0, 3), ...$beds,
            ...\array_slice((array) SmallGarden::values()['beds'], 3)]]));
        $texts = [];
        foreach ([1, 2] as $sheet) {
            foreach ($this->svg('/wall/paper.svg?paper=a4&sheet='.$sheet)->getElementsByTagName('text') as $text) {
                $texts[] = $text->textContent;
            }
        }
        self::assertSame(range(1, 60), array_map(static fn (string $t): int => (int) substr($t, 1), array_values(array_filter($texts,
            static fn (string $t): bool => 1 === preg_match('/^A\d+$/', $t)))));
    }

    /** An event for each day still to come: ready was last October, the bed is free from 7 April. */
    public function testTheSeasonAsACalendar(): void
    {
        $this->browser->request('GET', $this->path('/wall/season.ics'));
        preg_match_all('/^(?:SUMMARY|DTSTART;VALUE=DATE):(.+?)\r?$/m', Reader::read($this->svgText())->serialize(), $told);

        self::assertSame(['20260407', 'Bed free: Leek\\, bed A3\\, 25 m'], $told[1]);
    }

    public function testWeeksAsCsv(): void
    {
        $this->browser->request('GET', $this->path('/wall/weeks.csv?product=lettuce'));
        $rows = array_map(static fn (string $l): array => str_getcsv($l), explode("\n", trim($this->svgText())));

        self::assertSame(['2026-06-01', 'Lettuce', 'head', '20', '0', '20', '75'], $rows[(int) array_search('2026-06-01',
            array_column($rows, 0), true)]);
        self::assertSame('50', $rows[(int) array_search('2026-03-30', array_column($rows, 0), true)][6],
            'the leeks stand until Monday the 6th');
    }

    /** A hatch stays inside its box. */
    public function testAHatchStaysInItsBox(): void
    {
        $sheet = new Sheet(200, 100);
        $sheet->hatch(10, 20, 30, 6);
        preg_match_all('/([\d.]+),([\d.]+)/', SheetFiles::svg($sheet, 'hatch'), $points);
        [$x, $y] = [array_map(floatval(...), $points[1]), array_map(floatval(...), $points[2])];
        sort($x);
        sort($y);

        self::assertGreaterThan(20, \count($x));
        self::assertSame([10.0, 40.0, 20.0, 26.0], [$x[0], end($x), $y[0], end($y)]);
    }

    private function svg(string $path): \DOMElement
    {
        $this->browser->request('GET', $this->path($path));
        self::assertResponseIsSuccessful();
        $document = new \DOMDocument();
        self::assertTrue($document->loadXML($this->svgText()));

        return $document->documentElement ?? self::fail('no drawing');
    }

    private function svgText(): string
    {
        return $this->browser->getInternalResponse()->getContent();
    }
}
