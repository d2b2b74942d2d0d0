<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\PastedMonths;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PastedMonthsTest extends TestCase
{
    private const MIN = [-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8];
    private const MAX = [3.2, 5.0, 10.3, 15.2, 19.8, 22.9, 25.0, 24.5, 19.9, 14.2, 7.9, 4.0];

    /** However they are parted, the same twelve. */
    #[DataProvider('pasted')]
    public function testAnyUsualSeparatorDoes(string $text): void
    {
        $read = PastedMonths::read($text);

        self::assertSame([self::MIN, self::MAX], [$read['min'], $read['max']]);
    }

    /** @return iterable<string, array{string}> */
    public static function pasted(): iterable
    {
        $lines = static fn (string $separator, bool $isComma = false): string => implode("\n", array_map(
            static fn (array $line): string => implode($separator, array_map(static fn (float $v): string => str_replace('.', $isComma
                ? ',' : '.', (string) $v), $line)),
            [self::MIN, self::MAX]));
        yield 'blanks' => [$lines(' ')];
        yield 'tabs' => [$lines("\t")];
        yield 'commas' => [$lines(',')];
        yield 'commas and blanks' => [$lines(', ')];
        yield 'semicolons' => [$lines(';')];
        yield 'decimal commas and blanks' => [$lines('  ', true)];
        yield 'decimal commas and semicolons' => [$lines('; ', true)];
        yield 'words before' => ["Low °C\t".str_replace("\n", "\nHigh °C\t", $lines("\t"))];
        yield 'a month a line' => [implode("\r\n", array_map(static fn (float $min, float $max): string => 'Month '.$min."\t".$max,
            self::MIN, self::MAX))];
        yield 'one long line' => [str_replace("\n", ' ', $lines(' '))];
        yield 'a true minus sign' => [str_replace('-', "\u{2212}", $lines(' '))];
    }

    public function testRainIsTheThirdLineOrUnknown(): void
    {
        $rain = array_fill(0, 12, 60.0);

        self::assertSame($rain, PastedMonths::read(implode(' ', self::MIN)."\n".implode(' ', self::MAX)."\n".implode(' ', $rain))['rain']);
        self::assertSame([], PastedMonths::read(implode(' ', self::MIN)."\n".implode(' ', self::MAX))['rain']);
        self::assertCount(11, PastedMonths::read('1 2 3 4 5 6 7 8 9 10 11')['min']);
    }
}
