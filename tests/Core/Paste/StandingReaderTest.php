<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Paste;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Message\Message;
use JollyFurrow\Paste\PastedDay;
use JollyFurrow\Paste\StandingReader;
use JollyFurrow\Paste\StandingRow;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Rows of what stands become plantings with their dates; what is not clear is asked at its cell. */
final class StandingReaderTest extends TestCase
{
    public function testASownAndAPlantedRow(): void
    {
        [$radish, $lettuce] = self::read([['bed' => 'A1', 'crop' => 'radish', 'sown' => '12 May', 'length' => 'half'],
            ['bed' => 'A1', 'crop' => 'head lettuce', 'planted' => '1 June', 'length' => '5 m']], LittleGarden::on('2026-06-05'));

        self::assertSame(['radish@2026-05-12#1', Standing::Growing, '2026-06-11', 0, 10_000_000], [$radish->planting?->key,
            $radish->planting?->standing, $radish->planting?->ready->iso(), $radish->planting?->pieces[0]->from,
            $radish->planting?->pieces[0]->to]);
        self::assertSame(['2026-05-04', '2026-07-15', 10_000_000, 15_000_000], [$lettuce->planting?->sow->iso(),
            $lettuce->planting?->ready->iso(), $lettuce->planting?->pieces[0]->from, $lettuce->planting?->pieces[0]->to]);
    }

    /** Without a year it is the last such day: today still counts, tomorrow's is last year's. */
    #[TestWith(['5 June', '2026-06-05'])]
    #[TestWith(['6 June', '2025-06-06'])]
    public function testADayWithoutAYear(string $typed, string $day): void
    {
        self::assertSame($day, PastedDay::parse($typed, Day::parse('2026-06-05'), true)->iso());
    }

    public function testInTraysItStandsInTheNursery(): void
    {
        [$row] = self::read([['bed' => 'A2', 'crop' => 'head lettuce', 'trays' => '20 May']], LittleGarden::on('2026-06-01'));

        self::assertSame([Standing::InNursery, '2026-06-17'], [$row->planting?->standing, $row->planting?->ground->iso()]);
    }

    /** @param array<string, string> $cells */
    #[DataProvider('unclear')]
    public function testWhatIsNotClearIsAskedAtItsCell(array $cells, string $field, string $message): void
    {
        $rows = self::read([['bed' => 'A3', 'crop' => 'kale', 'date' => '2 May', 'length' => '15 m'], $cells],
            LittleGarden::on('2026-06-05'));

        self::assertNull($rows[1]->planting);
        $fault = $rows[1]->faults[$field] ?? '';
        self::assertStringContainsString($message, $fault instanceof Message ? $fault->logged() : $fault);
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function unclear(): iterable
    {
        $good = ['bed' => 'A1', 'crop' => 'radish', 'date' => '12 May', 'length' => '3 m'];
        yield 'no such bed' => [[...$good, 'bed' => 'Z9'], 'bed', 'There is no bed "Z9". The beds are A1'];
        yield 'no bed' => [[...$good, 'bed' => ''], 'bed', 'Which bed?'];
        yield 'no such crop' => [[...$good, 'crop' => 'radsh'], 'crop', 'Is it Radish?'];
        yield 'two crops' => [[...$good, 'crop' => 'lettuce'], 'crop', 'Which one: Head lettuce or'];
        yield 'no such day' => [[...$good, 'date' => '31 June'], 'date', 'not-in-calendar'];
        yield 'no day' => [[...$good, 'date' => ''], 'date', 'When was it'];
        yield 'another century' => [[...$good, 'date' => '12.5.1926'], 'date', 'Is the year right?'];
        yield 'a negative length' => [[...$good, 'length' => '-3 m'], 'length', '3'];
        yield 'an unknown unit' => [[...$good, 'length' => '3 furlongs'], 'length', 'unknown-unit'];
        yield 'longer than the bed' => [[...$good, 'length' => '400 m'], 'length', '20'];
        yield 'no room beside the other' => [[...$good, 'bed' => 'A3', 'length' => '6 m'], 'length', 'free in that time are 5 m'];
        yield 'twice the same' => [['bed' => 'A3', 'crop' => 'kale', 'date' => '2 May', 'length' => '15 m'], 'bed', 'The same as row 1'];
    }

    /**
     * @param list<array<string, string>> $rows
     *
     * @return array<int, StandingRow>
     */
    private static function read(array $rows, Garden $garden): array
    {
        return (new StandingReader(Book::crops(), Book::recipes()))->read($rows, $garden, true);
    }
}
