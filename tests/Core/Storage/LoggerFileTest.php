<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Storage;

use JollyFurrow\Storage\LoggerFile;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class LoggerFileTest extends TestCase
{
    /** 41 and 50 degrees F are 5 and 10 degrees C; a day is the mean of its readings, with its low and high. */
    public function testFahrenheit(): void
    {
        $file = self::read("Date and time,Temperature (°F),Humidity %\n2026-10-02 06:00,41,94\n2026-10-02 14:00,50,90\n"
            .'2026-10-03 06:00,41,');

        self::assertEquals([new PlaceDay('cold', Day::parse('2026-10-02'), 7.5, 5.0, 10.0, 92.0),
            new PlaceDay('cold', Day::parse('2026-10-03'), 5.0, 5.0, 5.0, null)], $file->days);
    }

    /** Days without a reading are named, lines that say nothing counted, an hour that comes twice counts once. */
    public function testGapsAndTwoClocks(): void
    {
        $file = self::read("Time,Temp C\n25.10.2026 02:00,2\n25.10.2026 02:00,4\n25.10.2026 03:00,6\n"
            ."sensor lost,\n28.10.2026 03:00,\n28.10.2026 04:00,1,5\n"
            .'28.10.2026 05:00,900');

        self::assertSame([4.5, 1.0], array_map(static fn (PlaceDay $d): float => $d->celsius, $file->days));
        self::assertSame([['2026-10-26', '2026-10-27'], 3],
            [array_map(static fn ($d): string => $d->iso(), $file->missing), $file->unread]);
    }

    /** Never guessed in silence: the unit where no heading says it, day and month where nothing tells them apart. */
    public function testWhatIsAsked(): void
    {
        $open = "Time,Temperature\n03/04/2026 02:00,41";
        $asked = self::read($open);

        self::assertSame([true, true, []], [$asked->asksUnit, $asked->asksDate, $asked->days]);
        self::assertSame(['2026-03-04', 5.0], self::first(LoggerFile::read('cold', self::rows($open), true, true)));
        self::assertSame(['2026-04-03', 41.0], self::first(LoggerFile::read('cold', self::rows($open), false, false)));
        self::assertSame(['2026-04-23', 41.0], self::first(LoggerFile::read('cold', self::rows("Day,Temp C\n04/23/2026,41"))));
    }

    public function testNoLoggersFile(): void
    {
        self::assertSame([[], 2], [self::read("Name,Price\nKale,3")->days, self::read("Name,Price\nKale,3")->unread]);
    }

    private static function read(string $text): LoggerFile
    {
        return LoggerFile::read('cold', self::rows($text));
    }

    /** @return array{string, float} */
    private static function first(LoggerFile $file): array
    {
        return [$file->days[0]->day->iso(), $file->days[0]->celsius];
    }

    /** @return list<list<string>> */
    private static function rows(string $text): array
    {
        return array_map(static fn (string $line): array => explode(',', $line), explode("\n", $text));
    }
}
