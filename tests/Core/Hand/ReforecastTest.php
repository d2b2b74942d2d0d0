<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\Reforecast;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** What stands is told anew from three days on, and only where that changes a market day or a week. */
final class ReforecastTest extends TestCase
{
    public function testTwoDaysAreNotTold(): void
    {
        self::assertSame(0, self::told(2));
    }

    /** Of three days' difference, one in two crosses a Saturday or the end of a week. */
    public function testThreeDaysAreToldWhereTheyMatter(): void
    {
        self::assertGreaterThan(0, self::told(3));
        self::assertLessThan(7, self::told(3));
        self::assertGreaterThan(self::told(3), self::told(6));
    }

    /** Of seven radishes sown day after day, ready so many days after what is written: how many are told. */
    private static function told(int $days): int
    {
        $told = 0;
        for ($n = 0; $n < 7; ++$n) {
            $radish = LittleGarden::radish(Day::parse('2026-05-04')->plus($n)->iso(), standing: Standing::Growing);
            $ready = self::ready(LittleGarden::timed('2026-05-15', [$radish]), $radish);
            $written = $radish->but(dates: new Dates($radish->sow, $radish->ground, $radish->bedStart, $ready->plus(-$days),
                $ready->plus(6)));
            $told += \count(Reforecast::of(LittleGarden::timed('2026-05-15', [$written]), Book::crops()));
        }

        return $told;
    }

    private static function ready(Garden $garden, Planting $planting): Day
    {
        $ripe = $garden->timing()?->of(Book::crops()->get('radish'), $garden->coversOf($planting))->fromGround($planting->sow->number,
            $planting->ground->number, $planting->method);

        return Day::of($ripe->ready ?? self::fail('It ripens.'));
    }
}
