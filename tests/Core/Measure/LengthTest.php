<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Measure;

use JollyFurrow\Measure\InvalidLength;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\LengthUnit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Tests\Support\Us;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** @return iterable<array{string, LengthUnit, int}> */
    public static function typed(): iterable
    {
        yield ['75 cm', LengthUnit::Metre, 750_000];
        yield ['2.5 ft', LengthUnit::Metre, 762_000];
        yield ['30in', LengthUnit::Metre, 762_000];
        yield ['30"', LengthUnit::Centimetre, 762_000];
        yield ['0,75 m', LengthUnit::Foot, 750_000];
        yield ['25', LengthUnit::Metre, 25_000_000];
        yield ['100', LengthUnit::Foot, 30_480_000];
        yield [' 12 mm ', LengthUnit::Metre, 12_000];
        yield ['1.5 in', LengthUnit::Metre, 38_100];
        yield ['6 ft 4 in', LengthUnit::Metre, 1_930_400];
        yield ['5\' 6.5"', LengthUnit::Centimetre, 1_689_100];
        yield ['1/2 in', LengthUnit::Metre, 12_700];
        yield ['12 3/4 ft', LengthUnit::Metre, 3_886_200];
        yield ['7.5 in', LengthUnit::Centimetre, 190_500];
    }

    #[DataProvider('typed')]
    public function testReadsEitherUnit(string $text, LengthUnit $bare, int $micrometres): void
    {
        self::assertSame($micrometres, Length::parse($text, $bare)->micrometres);
    }

    /** @return iterable<array{string, string}> */
    public static function bad(): iterable
    {
        yield ['', 'not-a-length'];
        yield ['-3 m', 'not-a-length'];
        yield ['1e9', 'not-a-length'];
        yield ['seven', 'not-a-length'];
        yield ['1/2', 'not-a-length'];
        yield ['1/0 m', 'not-a-length'];
        yield ['12 furlongs', 'unknown-unit'];
        yield ['9999 m', 'outside text'];
        yield ['0', 'outside text'];
    }

    #[DataProvider('bad')]
    public function testBadLengthIsToldWhatWouldBeRight(string $text, string $message): void
    {
        $this->expectException(InvalidLength::class);
        $this->expectExceptionMessage($message);
        Length::parse($text, LengthUnit::Metre);
    }

    public function testIsWrittenInTheGardensUnits(): void
    {
        $bed = Us::feet(100);

        self::assertSame(['30.48 m', '100 ft'], [Units::Metric->long($bed), Units::UsCustomary->long($bed)]);
        self::assertSame(['76.2 cm', '30 in'], [Units::Metric->short(Us::inches(30)),
            Units::UsCustomary->short(Us::inches(30))]);
    }
}
