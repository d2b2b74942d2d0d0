<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Time;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\YearWindow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class YearWindowTest extends TestCase
{
    /** @return iterable<array{string, string, string, bool}> */
    public static function days(): iterable
    {
        yield ['03-15', '07-20', '2026-03-15', true];
        yield ['03-15', '07-20', '2026-07-20', true];
        yield ['03-15', '07-20', '2026-07-21', false];
        yield ['10-01', '02-15', '2026-12-31', true];
        yield ['10-01', '02-15', '2027-02-15', true];
        yield ['10-01', '02-15', '2027-02-16', false];
    }

    #[DataProvider('days')]
    public function testContains(string $from, string $to, string $day, bool $inside): void
    {
        self::assertSame($inside, YearWindow::between(MonthDay::parse($from), MonthDay::parse($to))->contains(Day::parse($day)));
    }
}
