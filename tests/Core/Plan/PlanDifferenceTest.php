<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\PlanDifference;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class PlanDifferenceTest extends TestCase
{
    public function testCountsNewChangedDroppedAndSame(): void
    {
        $difference = PlanDifference::between([self::planting('a'), self::planting('b'), self::planting('c')],
            [self::planting('a'), self::planting('b', 12_500_000), self::planting('d')]);

        self::assertSame('1 plantings new, 1 changed, 1 dropped, 1 as they were', $difference->words());
    }

    public function testSaysWhenThereIsNothingToChange(): void
    {
        self::assertSame('nothing to change, 1 plantings stay as they are', PlanDifference::between([self::planting('a')],
            [self::planting('a')])->words());
    }

    private static function planting(string $key, int $micrometres = 6_250_000): Planting
    {
        $day = Day::parse('2026-05-01');

        return new Planting($key, 'kale', Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day, $day, $day->plus(50),
            $day->plus(80), 1.0, [Stretch::of('A1', 0, $micrometres)], Standing::Planned, false);
    }
}
