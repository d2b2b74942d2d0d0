<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\RecordReader;
use JollyFurrow\Climate\WeatherGenerator;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RecordReaderTest extends TestCase
{
    public function testColumnsInAnyOrderUnitsByHeadingGapsCounted(): void
    {
        $reader = new RecordReader();
        $record = $reader->read([['Rain (in)', 'Day', 'Low F', 'High F'], ['0.5', '2025-05-01', '41', '68'], ['', '2025-05-02', '', ''],
            ['0', '2025-05-04', '50', '77']]);

        self::assertNotNull($record);
        self::assertSame([], $reader->doubts);
        self::assertSame([2, 2], [$record->days(), $record->gaps()]);
        self::assertEqualsWithDelta([5.0, 20.0, 12.7], [...\array_slice($record->min, 0, 1), ...\array_slice($record->max, 0, 1),
            ...\array_slice($record->rain, 0, 1)], 0.01);
    }

    /**
     * The same three days as services write them; month first is known by a day above twelve anywhere in the record.
     *
     * @param list<string> $days
     */
    #[TestWith([['2012-01-02', '2012-01-13', '1955-02-01']])]
    #[TestWith([['2012/1/2', '2012/1/13', '1955/2/1']])]
    #[TestWith([['20120102', '20120113', '19550201']])]
    #[TestWith([['1/2/2012', '1/13/2012', '2/1/1955']])]
    #[TestWith([['2.1.2012', '13.1.2012', '1.2.1955']])]
    #[TestWith([['2012-01-02 00:00', '2012-01-13T06:00', '1955-02-01']])]
    public function testDaysAsServicesWriteThem(array $days): void
    {
        $rows = array_map(static fn (string $day): array => [$day, '1', '5'], $days);
        $record = (new RecordReader())->read([['date', 'min', 'max'], ...$rows], 'C');

        self::assertSame(['1955-02-01', '2012-01-02', '2012-01-13'], array_map(static fn (int $n): string => Day::of($n)->iso(),
            array_keys($record->min ?? [])));
    }

    public function testFahrenheitWithoutSayingSoIsFoundOrAsked(): void
    {
        $hot = new RecordReader();
        self::assertEqualsWithDelta([35.0], array_values($hot->read([['date', 'min', 'max'], ['2025-07-01', '59', '95']])->max ?? []),
            0.01);
        self::assertSame([], $hot->doubts);
        $mild = new RecordReader();
        $mild->read([['date', 'min', 'max'], ['2025-03-01', '39', '55']]);
        self::assertSame(['temperature'], $mild->doubts);
    }

    /** @param list<string> $row */
    #[TestWith([['2025-02-30', '1', '5'], 'does not exist in the calendar'])]
    #[TestWith([['2025-05-01', 'cold', '5'], '"cold" is not a number'])]
    #[TestWith([['2025-05-01', '9', '5'], 'The minimum, 9, lies above the maximum, 5'])]
    #[TestWith([['2025-05-01', '-80', '5'], 'is not possible'])]
    #[TestWith([['2025-05-01', '1', '5', '-3'], 'of rain in a day is not possible'])]
    #[TestWith([['2025-01-01', '1', '5'], 'stands twice'])]
    public function testImpossibleLinesAreRefusedByNumber(array $row, string $message): void
    {
        $reader = new RecordReader();
        $rows = [['date', 'min', 'max', 'rain']];
        for ($n = 0; $n < 40; ++$n) {
            $rows[] = [Day::parse('2025-01-01')->plus($n)->iso(), '1', '5', '0'];
        }
        $record = $reader->read([...$rows, $row], 'C', 'mm');

        self::assertSame(40, $record?->days());
        self::assertSame([42], array_keys($reader->shownFaults()));
        self::assertStringContainsString($message, $reader->shownFaults()[42]);
    }

    public function testWhatIsNoRecordIsRefusedWhole(): void
    {
        $reader = new RecordReader();
        self::assertNull($reader->read([['name', 'colour'], ['kale', 'green']]));
        self::assertStringContainsString('No column is the date or the min or the max', $reader->problem);
        self::assertNull($reader->read([['date', 'min', 'max'], ...array_fill(0, 100, ['soon', 'x', 'y'])]));
        self::assertStringContainsString('100 of 100 lines cannot be read', $reader->problem);
        self::assertNull($reader->read([['date', 'min', 'max'], ...array_fill(0, Limits::RECORD_ROWS + 1, ['2025-01-01', '1', '2'])]));
        self::assertStringContainsString('at most 60000', $reader->problem);
    }

    /** Richardson 1981: made-up weather has the means, spread and rain of its climate, and carries over from day to day. */
    public function testMadeUpWeatherIsOfItsClimateAndTheSameEachTime(): void
    {
        $climate = Larkspur::climate();
        $days = (new WeatherGenerator($climate, 7))->days(Day::parse('1990-01-01'), Day::parse('2019-12-31'));
        $july = array_filter($days->min, static fn (int $n): bool => 7 === Day::of($n)->month(), \ARRAY_FILTER_USE_KEY);
        $mean = array_sum($july) / \count($july);
        $spread = sqrt(array_sum(array_map(static fn (float $t): float => ($t - $mean) ** 2, $july)) / \count($july));

        self::assertEqualsWithDelta(13.1, $mean, 0.5);
        self::assertEqualsWithDelta($climate->minSd[200], $spread, 0.5);
        self::assertEqualsWithDelta(880, array_sum($days->rain) / 30, 90);
        self::assertEquals($days, (new WeatherGenerator($climate, 7))->days(Day::parse('1990-01-01'), Day::parse('2019-12-31')));
        self::assertNotEquals($days->min, (new WeatherGenerator($climate, 8))->days(Day::parse('1990-01-01'),
            Day::parse('2019-12-31'))->min);
    }
}
