<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Time;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidMonthDay;
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

    public function testAsFilesAndAsGrowersWriteThem(): void
    {
        foreach (['03-15..07-20', '15 Mar to 20 Jul', 'Mar 15 – Jul 20', 'March 15 - July 20'] as $text) {
            self::assertSame('03-15..07-20', YearWindow::parse($text)->iso());
        }
        foreach (['15 Mar', '15 Mar to', '31 Feb to 1 May', 'spring to autumn', '15 Mar to 20 Jul to 1 Aug'] as $text) {
            try {
                self::fail($text.' was read as '.YearWindow::parse($text)->iso());
            } catch (InvalidMonthDay) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
