<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Record\Paste;

use JollyFurrow\Measure\InvalidLength;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\LengthUnit;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\Column;
use JollyFurrow\Paste\Columns;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Paste\PastedDay;
use JollyFurrow\Paste\PastedLength;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The cells of a pasted list: encodings, marks between cells, dates and lengths as people write them, names of crops and columns. */
final class PasteTest extends TestCase
{
    #[DataProvider('encodings')]
    public function testTextInThreeEncodingsIsTheSame(string $bytes): void
    {
        self::assertSame([['A1', 'rucola früh', '½ bed']], Cells::rows(Cells::decode($bytes)));
    }

    /** @return iterable<string, array{string}> */
    public static function encodings(): iterable
    {
        $text = "A1\trucola früh\t½ bed\r\n";
        yield 'UTF-8' => [$text];
        yield 'UTF-8 with a mark' => ["\xEF\xBB\xBF".$text];
        yield 'UTF-16, little end first' => ["\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')];
        yield 'UTF-16, big end first' => ["\xFE\xFF".mb_convert_encoding($text, 'UTF-16BE', 'UTF-8')];
        yield 'Windows-1252' => [mb_convert_encoding($text, 'Windows-1252', 'UTF-8')];
    }

    public function testCellsArePartedByWhatMostLinesHold(): void
    {
        self::assertSame([['A1', 'kale, red', '3 m'], ['A2', 'leek', '']], Cells::rows("A1;kale, red;3 m\n\nA2;leek"));
        self::assertSame([['A1', 'kale, red', '12 May']], Cells::rows('A1,"kale, red",12 May'));
        self::assertSame([['A1', 'red kale', '12 May']], Cells::rows('A1   red kale   12 May'));
        self::assertSame([], Cells::rows(" \n\t\n"));
        self::assertSame('ab', Cells::decode("a\x00\x07b"));
    }

    #[DataProvider('days')]
    public function testDatesAsTheyAreWritten(string $text, string $iso, bool $dayFirst = true): void
    {
        self::assertSame($iso, PastedDay::parse($text, Day::parse('2026-06-15'), $dayFirst)->iso());
    }

    /** @return iterable<array{0: string, 1: string, 2?: bool}> */
    public static function days(): iterable
    {
        yield ['2026-05-12', '2026-05-12'];
        yield ['12.5.', '2026-05-12'];
        yield ['12.5.26', '2026-05-12'];
        yield ['5/12/2026', '2026-12-05'];
        yield ['5/12/2026', '2026-05-12', false];
        yield ['12 May', '2026-05-12'];
        yield ['May 12th, 2025', '2025-05-12'];
        yield ['Tue 12 May', '2026-05-12'];
        yield ['sown in trays 3 April', '2026-04-03'];
        yield ['planted out on 1 June', '2026-06-01'];
        yield ['20 June', '2025-06-20'];
    }

    #[DataProvider('noDays')]
    public function testWhatIsNoDateIsRefused(string $text): void
    {
        $this->expectException(InvalidDay::class);
        PastedDay::parse($text, Day::parse('2026-06-15'), true);
    }

    /** @return iterable<array{string}> */
    public static function noDays(): iterable
    {
        foreach (['31 June', '2026-02-30', '13/13/2026', 'spring', '12', '12 Mayhem 2026 or so'] as $text) {
            yield $text => [$text];
        }
    }

    public function testTheOrderOfDayAndMonthIsAskedOnlyWhereTheListDoesNotTell(): void
    {
        self::assertSame([true, null], [PastedDay::isOrderAsked(['3/4/2026', '5/6']), PastedDay::isDayFirst(['3/4/2026'])]);
        self::assertSame([false, true], [PastedDay::isOrderAsked(['3/4/2026', '25/6']), PastedDay::isDayFirst(['3/4/2026', '25/6'])]);
        self::assertSame([false, false], [PastedDay::isOrderAsked(['6/25/26']), PastedDay::isDayFirst(['6/25/26'])]);
        self::assertFalse(PastedDay::isOrderAsked(['3 April', '2026-04-03', '3.4.']));
    }

    public function testLengthsAndSharesOfABed(): void
    {
        $metres = static fn (string $text): float => PastedLength::parse($text, Length::fromMetres(20), LengthUnit::Metre)->metres();

        self::assertSame([20.0, 10.0, 5.0, 15.0, 12.5, 3.0, 8.0], array_map($metres, ['', 'half a bed', '1/4', '¾', '12,5 m', '3',
            '40 %']));
        self::assertEqualsWithDelta(12.192, $metres('40 ft'), 0.001);
        foreach (['-3 m', '25 m', '3 parsecs', 'some', '0'] as $wrong) {
            try {
                $metres($wrong);
                self::fail($wrong.' was taken.');
            } catch (InvalidLength $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }

    public function testCropsByNameSingularPluralVarietyOrAWordOfIt(): void
    {
        $names = new CropNames(Book::crops());
        self::assertSame([], $names->meant(str_repeat('carrot ', 8_000)), 'more text than any cell holds');

        self::assertSame(['radish'], $names->meant('Radishes'));
        self::assertSame(['tomato'], $names->meant('tomatoes'));
        self::assertSame(['lettuce-head'], $names->meant('Brookmantle'));
        self::assertEqualsCanonicalizing(['lettuce-head', 'lettuce-leaf', 'lettuce-picked'], $names->meant('lettuce'));
        self::assertSame([], $names->meant('moonfruit'));
        foreach (['zucchini' => 'squash-summer', 'Courgettes' => 'squash-summer', 'rocket' => 'arugula', 'beetroot' => 'beet',
            'coriander' => 'cilantro', 'bok choy' => 'pak-choi', 'aubergine' => 'eggplant', 'green beans' => 'bean-bush',
            'bell pepper' => 'pepper', 'butternut' => 'squash-winter', 'romaine' => 'lettuce-head', 'cantaloupe' => 'melon',
            'green onions' => 'scallion', 'swede' => 'rutabaga'] as $said => $crop) {
            self::assertSame([$crop], $names->meant($said), $said);
        }
        self::assertSame(['Radish'], $names->near('radsh'));
    }

    public function testColumnsByHeadingElseByWhatTheyHold(): void
    {
        $crops = new CropNames(Book::crops());
        $garden = LittleGarden::on('2026-06-15');
        $headed = Columns::of([['Length (m)', 'Bed', 'Crop', 'Sown on', 'Remarks'], ['3', 'A1', 'kale', '12 May', 'fine']], $garden,
            $crops);
        $bare = Columns::of([['A1', 'kale', '12 May', 'half'], ['A2', 'leek', '3 June', '5 m']], $garden, $crops);

        self::assertSame([Column::Length, Column::Bed, Column::Crop, Column::Sown, Column::Nothing], $headed->columns);
        self::assertSame([4], array_keys($headed->doubts));
        self::assertSame([Column::Bed, Column::Crop, Column::Date, Column::Length], $bare->columns);
        self::assertFalse($bare->headed);
        self::assertStringContainsString('sown in the bed, planted out', $bare->doubts[2]);
    }
}
