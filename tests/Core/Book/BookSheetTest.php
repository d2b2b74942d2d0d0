<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Book;

use JollyFurrow\Book\BookReader;
use JollyFurrow\Book\BookSheet;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Book\SheetLine;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BookSheetTest extends TestCase
{
    private const RECIPES = ['compost-mulch', 'stale-seedbed', 'tarp-shallow-till', 'broadfork-harrow', 'trench', 'mounds'];

    /** @return iterable<string, array{list<list<string>>, int, string}> lines after the first, the line at fault, its message */
    public static function brokenRows(): iterable
    {
        yield 'no crop' => [[['', 'rows', '3']], 2, 'The key of the crop is missing'];
        yield 'a name for a key' => [[['Head lettuce', 'rows', '3']], 2, 'is no key'];
        yield 'no value' => [[['radish', '', '3']], 2, 'name of the value is missing'];
        yield 'a value misspelt' => [[['radish', 'days_sowm', '30']], 2, 'Is "days_sown" meant?'];
        yield 'a value unheard of' => [[['radish', 'moon_phase', 'full']], 2, 'is no value the book knows'];
        yield 'twice' => [[['radish', 'rows', '7'], ['radish', 'rows', '9']], 3, 'Stands already on line 2'];
        yield 'too few cells' => [[['radish']], 2, 'Only one cell'];
        yield 'too many cells' => [[['radish', 'rows', '3', 'garden', '', 'more']], 2, '6 cells'];
        yield 'text too long' => [[['radish', 'note_quality', str_repeat('crisp ', 80)]], 2, 'Too long'];
        yield 'note too long' => [[['radish', 'rows', '7', 'garden', str_repeat('ours ', 90)]], 2, 'The note is too long'];
        yield 'letters of another code' => [[['radish', 'note_quality', "cr\xE9me"]], 2, 'UTF-8'];
        yield 'words for a number' => [[['radish', 'days_sown', 'a month']], 2, 'a whole number from 15 to 400'];
        yield 'out of range' => [[['radish', 'germination', '1.4']], 2, 'a number from 0.05 to 1'];
        yield 'neither yes nor no' => [[['radish', 'stored', 'perhaps']], 2, 'it is yes or no'];
        yield 'no such choice' => [[['radish', 'pattern', 'sometimes']], 2, 'once, cuts, picking'];
        yield 'half a window' => [[['radish', 'ground_field', '03-15']], 2, 'a window such as'];
        yield 'a day there is not' => [[['radish', 'ground_field', '02-31..05-01']], 2, 'a window such as'];
        yield 'a table out of order' => [[['radish', 'emergence', '20:4 10:11']], 2, 'degrees rising'];
        yield 'no spacing' => [[['radish', 'spacing_hoe', '45 cm']], 2, 'rows x cm'];
        yield 'a range that falls' => [[['radish', 'ph', '7.0..6.0']], 2, 'rising'];
        yield 'no degrees by day and night' => [[['radish', 'hot', '29']], 2, 'such as 31.5/23.5'];
        yield 'no such recipe' => [[['radish', 'recipe', 'magic']], 2, 'is no preparation recipe'];
        yield 'temperatures out of order' => [[['radish', 't_best', '3']], 2, 'a number from'];
        yield 'a crop nobody knows' => [[['moonfruit', 'rows', '3']], 2, 'not in the book'];
        yield 'a variety of nothing' => [[['own-moon', 'of', 'moonfruit'], ['own-moon', 'variety', 'Full']], 2,
            'key of a crop in the book'];
        yield 'a variety of a variety' => [[['own-late', 'of', 'cauliflower-late'], ['own-late', 'variety', 'Later']], 2,
            'no further variety itself'];
        yield 'a crop of the book made a variety' => [[['radish', 'of', 'carrot']], 2, 'what it is a variety of stays'];
        yield 'a variety of the book moved' => [[['cauliflower-late', 'of', 'broccoli']], 2, 'what it is a variety of stays'];
        yield 'a variety sold otherwise' => [[['own-late', 'of', 'cauliflower'], ['own-late', 'variety', 'Later'],
            ['own-late', 'unit', '100 g']], 4, 'varieties of one crop share it'];
        yield 'a new crop half said' => [[['own-moon', 'name', 'Moonfruit'], ['own-moon', 'days_sown', '60'],
            ['own-moon', 'nursery_days', '0'], ['own-moon', 'ground_field', '05-01..06-01'], ['own-moon', 'maturity', 'developing']], 2,
            'is missing'];
        yield 'long days without their sum' => [[['scallion', 'long_days', '12 4 1 14 8 1.3']], 2, '"long_days_sum" is missing'];
        yield 'what is emptied but needed' => [[['radish', 'rows', '']], 2, '"rows" is missing'];
        yield 'no place left' => [[['corn', 'ground_field', '']], 2, 'a window for at least one place'];
    }

    /** @param list<list<string>> $lines */
    #[DataProvider('brokenRows')]
    public function testABrokenRowHasItsMessageAndNothingIsTaken(array $lines, int $at, string $message): void
    {
        $sheet = BookSheet::read([BookSheet::COLUMNS, ...$lines, ['carrot', 'days_sown', '77']], Book::rows(), self::RECIPES);

        self::assertSame([], $sheet->values);
        self::assertCount(1, $sheet->faults, implode('; ', array_map(static fn (SheetLine $f): string => $f->line.' '.$f->words,
            $sheet->faults)));
        self::assertSame($at, $sheet->faults[0]->line);
        self::assertStringContainsString($message, $sheet->faults[0]->words);
    }

    public function testEveryFaultOfASheetIsToldAtOnce(): void
    {
        $sheet = BookSheet::read([BookSheet::COLUMNS, ['radish', 'rows', 'x'], ['radish', 'days_sown', '31'], ['radish', 'germination',
            '2'], ['leek', 'stock', 'stick'], ['', '', 'x']], Book::rows(), self::RECIPES);

        self::assertSame([2, 4, 5, 6], array_map(static fn (SheetLine $f): int => $f->line, $sheet->faults));
    }

    public function testTheFirstLineMustNameTheColumns(): void
    {
        self::assertStringContainsString('is empty', BookSheet::read([], Book::rows(), [])->faults[0]->words);
        self::assertStringContainsString('The column "value" is missing', BookSheet::read([['crop', 'amount', 'is']], Book::rows(),
            [])->faults[0]->words);
        self::assertStringContainsString('"colour" is no column', BookSheet::read([['crop', 'value', 'is', 'colour']], Book::rows(),
            [])->faults[0]->words);
        self::assertStringContainsString('More than', BookSheet::read([BookSheet::COLUMNS, ...array_fill(0, Limits::BOOK_ROWS,
            ['radish', 'rows', '3'])], Book::rows(), [])->faults[0]->words);
    }

    public function testTheWholeBookGoesInAsItCameOut(): void
    {
        $lines = [BookSheet::COLUMNS, ...array_map(static fn (array $row): array => array_values($row), Book::rows())];
        $sheet = BookSheet::read($lines, Book::rows(), self::RECIPES);

        self::assertSame([], $sheet->faults);
        self::assertSame([], $sheet->values);
        self::assertSame(\count(Book::rows()), $sheet->lines);
    }

    public function testOwnValuesOutAndInAreTheSame(): void
    {
        $own = [new OwnValue('radish', 'days_sown', '31', 'two springs'), new OwnValue('own-amber', 'of', 'cauliflower'),
            new OwnValue('own-amber', 'variety', 'Amber Moor'), new OwnValue('own-amber', 'days_transplanted', '77'),
            new OwnValue('own-amber', 'note_customers', 'Ask for it, "the gold one"')];
        $lines = [BookSheet::COLUMNS, ...array_map(static fn (OwnValue $v): array => array_values($v->row()), $own)];

        self::assertEqualsCanonicalizing($own, BookSheet::read($lines, Book::rows(), self::RECIPES)->values);
        self::assertEqualsCanonicalizing($own, BookSheet::read($lines, Book::rows(), self::RECIPES)->over($own));
        $book = (new BookReader())->read([...Book::rows(), ...array_map(static fn (OwnValue $v): array => $v->row(), $own)]);
        self::assertSame([31, 77, 'cauliflower', 'Ask for it, "the gold one"'], [$book->get('radish')->timing->daysSown,
            $book->get('own-amber')->timing->daysTransplanted, $book->get('own-amber')->item(),
            $book->get('own-amber')->notes['note_customers']]);
        self::assertSame(['garden', 'two springs'], [$book->get('radish')->source('days_sown')->kind->value,
            $book->get('radish')->source('days_sown')->note]);
    }

    public function testAValuePutBackToTheBooksIsNoLongerOnesOwn(): void
    {
        $own = [new OwnValue('radish', 'days_sown', '31'), new OwnValue('radish', 'rows', '8')];
        $sheet = BookSheet::read([BookSheet::COLUMNS, ['radish', 'days_sown', (string) Book::crops()->get('radish')->timing->daysSown]],
            Book::rows(), self::RECIPES);

        self::assertEquals([$own[1]], $sheet->over($own));
    }
}
