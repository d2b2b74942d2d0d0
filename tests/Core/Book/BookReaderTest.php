<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Book;

use JollyFurrow\Book\BookFault;
use JollyFurrow\Book\BookReader;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Working\SourceKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BookReaderTest extends TestCase
{
    public function testTheBookIsWideEnough(): void
    {
        $crops = Book::crops()->all();

        self::assertGreaterThanOrEqual(24, \count($crops));
        self::assertGreaterThanOrEqual(8, \count(array_unique(array_map(static fn (Crop $c): string => $c->family, $crops))));
        self::assertCount(\count(Pattern::cases()), array_unique(array_map(static fn (Crop $c): string => $c->pattern->value, $crops)));
    }

    /** Plausibility, common practice: a crop can be grown somewhere by some method, its seed can raise its stand, what is stored keeps. */
    public function testEveryCropIsPlausible(): void
    {
        foreach (Book::crops()->all() as $crop) {
            self::assertNotSame([], $crop->places(), $crop->key);
            self::assertNotSame([], $crop->methods(), $crop->key);
            self::assertSame(\in_array(Method::Transplanted, $crop->methods(), true), $crop->timing->nurseryDays > 0, $crop->key);
            self::assertGreaterThan(0.3, $crop->stand->germination * $crop->stand->fieldFactor, $crop->key);
            self::assertGreaterThanOrEqual($crop->stand->plantsPerSpot, $crop->stand->seedsPerSpot * $crop->stand->plantsPerSeedUnit,
                $crop->key);
            self::assertLessThan(600, $crop->stand->rows * 100 / $crop->stand->inRow->centimetres(), $crop->key.': plants in a metre');
            self::assertSame($crop->produce->stored, $crop->produce->keepingDays >= 60, $crop->key);
            self::assertSame($crop->growth->anchored, null !== $crop->rhythm->harvest, $crop->key);
            self::assertTrue(Pattern::Perennial !== $crop->pattern || $crop->growth->anchored, $crop->key);
        }
    }

    /** Temperatures in order, warm crops warmer than hardy ones, emergence quicker up to the best of the table, in the sources' range. */
    public function testEveryCropsGrowthIsPlausible(): void
    {
        foreach (Book::crops()->all() as $crop) {
            $growth = $crop->growth;
            $t = $growth->temperature;
            self::assertTrue($t->least < $growth->reference && $growth->reference < $t->best && $t->best < $t->most, $crop->key);
            self::assertSame($crop->tender && 'potato-early' !== $crop->key, $growth->reference >= 18.0,
                $crop->key.': tender crops are warm-season crops');
            $best = (int) array_search(min($growth->emergence->days), $growth->emergence->days, true);
            $before = \INF;
            foreach ($growth->emergence->days as $degrees => $days) {
                if ($degrees <= $best) {
                    self::assertLessThan($before, $days, $crop->key);
                }
                $before = $days;
            }
            self::assertGreaterThan($growth->emergence->daysAt(20.0) ?? 0.0, $crop->timing->daysSown ?? $crop->timing->daysTransplanted
                ?? 0, $crop->key);
        }
    }

    /** @param array{string, string} $wrong */
    #[TestWith([['emergence', '10:7']])]
    #[TestWith([['emergence', '10:7 5:15']])]
    #[TestWith([['emergence', 'ten days']])]
    #[TestWith([['emergence', '10:0.1 15:0.2']])]
    #[TestWith([['t_best', '2']])]
    #[TestWith([['t_reference', '40']])]
    #[TestWith([['maturity', 'sometimes']])]
    public function testAWrongGrowthValueIsRefusedByName(array $wrong): void
    {
        $rows = array_map(static fn (array $row): array => 'radish' === $row['crop'] && $row['value'] === $wrong[0]
            ? [...$row, 'is' => $wrong[1]] : $row, Book::rows());
        $this->expectException(BookFault::class);
        $this->expectExceptionMessage($wrong[0]);
        (new BookReader())->read($rows);
    }

    public function testEveryValueHasItsSource(): void
    {
        foreach (Book::crops()->all() as $crop) {
            foreach ($crop->sources as $name => $source) {
                self::assertTrue(SourceKind::Published !== $source->kind || '' !== $source->note, $crop->key.' '.$name);
            }
            self::assertGreaterThan(25, \count($crop->sources));
        }
    }

    /** @return iterable<string, array{string, string, string, string}> value, what it is, source kind, message */
    public static function faults(): iterable
    {
        yield 'text for a number' => ['rows', 'three', 'practice', 'it is a whole number from 1 to 20'];
        yield 'too many rows' => ['rows', '40', 'practice', 'it is a whole number from 1 to 20'];
        yield 'more than all seeds' => ['germination', '1.2', 'practice', 'it is a number from 0.05 to 1'];
        yield 'no such pattern' => ['pattern', 'sometimes', 'practice', 'it is one of once, cuts, picking, perennial, dig, green-manure'];
        yield 'neither yes nor no' => ['frost_tender', 'maybe', 'practice', 'it is yes or no'];
        yield 'broken window' => ['ground_field', '03-15', 'practice', 'it is a window such as 15 Mar to 20 Jul'];
        yield 'a day there is not' => ['ground_field', '02-30..07-20', 'practice', 'it is a window such as 15 Mar to 20 Jul'];
        yield 'empty' => ['name', '', 'practice', 'the value "name" is missing'];
        yield 'no source' => ['rows', '3', '', 'a source kind is missing'];
        yield 'published, but where?' => ['rows', '3', 'published', 'a source kind is missing'];
    }

    #[DataProvider('faults')]
    public function testAFaultNamesCropValueAndMend(string $value, string $is, string $source, string $message): void
    {
        $rows = array_map(static fn (array $row): array => 'radish' === $row['crop'] && $row['value'] === $value
            ? [...$row, 'is' => $is, 'source' => $source] : $row, Book::rows());

        $this->expectException(BookFault::class);
        $this->expectExceptionMessageMatches('/radish.*'.preg_quote($message, '/').'/');
        (new BookReader())->read($rows);
    }
}
