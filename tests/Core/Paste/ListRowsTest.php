<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Paste;

use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\Column;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Paste\FreeLine;
use JollyFurrow\Paste\ListRows;
use JollyFurrow\Paste\StandingReader;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Lists of seven shapes are kept right, or asked about; none is wrong in silence. Common practice, no source. */
final class ListRowsTest extends TestCase
{
    /**
     * @param list<string> $plantings "bed item sowing-or-planting day metres", or "bed ? fields asked"
     * @param list<string> $aside
     */
    #[DataProvider('shapes')]
    public function testSevenShapes(string $text, array $plantings, array $aside = []): void
    {
        $garden = LittleGarden::on('2026-06-05');
        $rows = ListRows::of(Cells::rows($text), $garden, new CropNames(Book::crops()));
        $cells = array_map(static fn (array $row): array => array_combine(array_map(static fn (Column $c): string => $c->value,
            $rows->columns->columns), $row), $rows->rows);
        $told = [];
        foreach ((new StandingReader(Book::crops(), Book::recipes()))->read($cells, $garden, false) as $i => $row) {
            $told[] = null === $row->planting ? $cells[$i]['bed'].' ? '.implode(' ', array_keys($row->faults))
                : \sprintf('%s %s %s %g', $row->planting->pieces[0]->bed, $row->planting->variety, $row->planting->ground->iso(),
                    $row->planting->length()->metres());
        }

        self::assertSame([$plantings, $aside], [$told, $rows->aside]);
    }

    /** @return iterable<string, array{string, list<string>, 2?: list<string>}> */
    public static function shapes(): iterable
    {
        yield 'blanks between the columns' => ["A1 radish 12 May 5 m\nA1 head lettuce planted 1 June half\nA2 kale 5/2 40 ft",
            ['A1 radish 2026-05-12 5', 'A1 lettuce-head 2026-06-01 10', 'A2 kale 2026-05-02 12.192']];
        yield 'as one would say it' => ["head lettuce in A1 planted 3 May, half bed\n"
            ."Radishes, bed A2, sown May 12th, a quarter of the bed\n5 m of kale in A3 planted out on 20.5.",
            ['A1 lettuce-head 2026-05-03 10', 'A2 radish 2026-05-12 5', 'A3 kale 2026-05-20 5']];
        yield 'a title, a total, headings said again' => [
            "Field 2026;;;\nBed;Crop;Sown;Length\nA1;radish;12 May;5 m\nBed;Crop;Sown;Length\nA2;spinach;2 May;6 m\nTotal;;;11 m",
            ['A1 radish 2026-05-12 5', 'A2 spinach 2026-05-02 6'], ['Field 2026', 'Bed, Crop, Sown, Length', 'Total, 11 m']];
        yield 'runs of beds' => ["Crop,Sown,Bed,Length\nradish,12 May,A1-A2,half\nspinach,2 May,A3,2 beds\narugula,3 May,A1 - 2,6 m",
            ['A1 radish 2026-05-12 10', 'A2 radish 2026-05-12 10', 'A3 ? length', 'A1 ? length', 'A2 ? length']];
        yield 'beds by number' => ["Crop,Sown,Bed,Length\nspinach,2 May,A2,2 beds\nradish,3 May,A1,1 bed",
            ['A2 spinach 2026-05-02 20', 'A3 spinach 2026-05-02 20', 'A1 radish 2026-05-03 20']];
        yield 'month first, no heading' => ["5/22/2026\tA1\tsnap pea\t1/4\n5/3/2026\tA2\trocket\t50 %",
            ['A1 pea 2026-05-22 5', 'A2 arugula 2026-05-03 10']];
        yield 'what nobody knows' => ["Bed,Crop,Date\nA1,sea kelp,2 May\nA2,lettuce,2 May\nZ9,radish,2 May\nA3,kale,40 May",
            ['A1 ? crop', 'A2 ? crop', 'Z9 ? bed', 'A3 ? date']];
    }

    /** @param list<string> $cells bed, crop, day, length */
    #[TestWith(['A2 lettuce 3 May', ['A2', 'lettuce', '3 May', '']])]
    #[TestWith(['sown May 3: A1, A2 carrots', ['A1, A2', 'carrots', 'sown May 3', '']])]
    #[TestWith(['bush beans on B7, 2026-05-20, 30 ft', ['B7', 'bush beans', '2026-05-20', '30 ft']])]
    #[TestWith(['A3: 1/2 bed of red beet in trays 4.5.', ['A3', 'red beet', 'sown in trays 4.5.', '1/2 bed']])]
    #[TestWith(['garlic', ['', 'garlic', '', '']])]
    #[TestWith(['3/4 of A1 with chard transplanted 12/5/26', ['A1', 'chard', 'transplanted 12/5/26', '3/4']])]
    public function testALineIsTakenApart(string $line, array $cells): void
    {
        self::assertSame($cells, FreeLine::of($line, LittleGarden::on('2026-06-05'))->cells());
    }
}
