<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Keep;

use JollyFurrow\Keep\BandAlarm;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A cold room of 0 degrees C and 96 % may be three degrees and twelve points off. */
final class BandAlarmTest extends TestCase
{
    /** @return iterable<string, array{list<array{string, float, float, float|null}>, list<bool>|null}> days with low, high, humidity */
    public static function readings(): iterable
    {
        yield 'within' => [[['2026-11-20', -2.9, 3.0, 84.0]], null];
        yield 'warm at noon' => [[['2026-11-20', 0.0, 3.1, null]], [true, false, false, false]];
        yield 'frost' => [[['2026-11-20', -3.1, 1.0, 96.0]], [false, true, false, false]];
        yield 'dry' => [[['2026-11-20', 0.0, 1.0, 83.0]], [false, false, false, true]];
        yield 'put right since' => [[['2026-11-20', 0.0, 9.0, null], ['2026-11-21', 0.0, 1.0, null]], null];
        yield 'whichever comes first in the list' => [[['2026-11-21', 0.0, 9.0, null], ['2026-11-20', 0.0, 1.0, null]],
            [true, false, false, false]];
        yield 'a week old' => [[['2026-11-15', 0.0, 9.0, null]], [true, false, false, false]];
        yield 'older than a week' => [[['2026-11-14', 0.0, 9.0, null]], null];
    }

    /**
     * @param list<array{string, float, float, float|null}> $days
     * @param list<bool>|null                               $alarm warm, cold, damp, dry
     */
    #[DataProvider('readings')]
    public function testTheLastDayItRead(array $days, ?array $alarm): void
    {
        $read = array_map(static fn (array $d): PlaceDay => new PlaceDay('cold', Day::parse($d[0]), ($d[1] + $d[2]) / 2, $d[1], $d[2],
            $d[3]), $days);
        $found = BandAlarm::all(LittleGarden::on('2026-11-22')->storing(new StoreBook([Stores::cold()], [], [], $read)));

        self::assertSame(null === $alarm ? [] : [$alarm], array_map(static fn (BandAlarm $a): array => [$a->isWarm, $a->isCold, $a->isDamp,
            $a->isDry], $found));
    }
}
