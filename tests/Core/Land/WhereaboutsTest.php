<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Land;

use JollyFurrow\Land\InvalidWhereabouts;
use JollyFurrow\Land\Whereabouts;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WhereaboutsTest extends TestCase
{
    #[TestWith(['40° N', 40.0, null])]
    #[TestWith(['40.5, -3.7', 40.5, null])]
    #[TestWith(['S 33.9', -33.9, null])]
    #[TestWith(['33.9 S', -33.9, null])]
    #[TestWith(['-33.9', -33.9, null])]
    #[TestWith(["\u{2212}33,9", -33.9, null])]
    #[TestWith(['40,5, -3,7', 40.5, null])]
    #[TestWith(['N 40.5 W 3.7', 40.5, null])]
    #[TestWith(['3.7 W, 40.5 N', 40.5, null])]
    #[TestWith(["40°25'12\" N 3°42' W", 40.42, null])]
    #[TestWith(['40°30′S', -40.5, null])]
    #[TestWith(['46.9 N, 310 m', 46.9, 310])]
    #[TestWith(['1 south, 2400 m above sea level', -1.0, 2400])]
    #[TestWith(['39 degrees north, 1000 ft', 39.0, 305])]
    #[TestWith(['latitude 51.5', 51.5, null])]
    #[TestWith(['on the equator, 1800 m', 0.0, 1800])]
    #[TestWith(['66', 66.0, null])]
    #[TestWith(['-0.5', -0.5, null])]
    public function testAsPeopleWriteIt(string $text, float $latitude, ?int $altitude): void
    {
        $where = Whereabouts::parse($text);

        self::assertEqualsWithDelta($latitude, $where->latitude, 0.00006);
        self::assertSame($altitude, $where->altitude);
    }

    #[TestWith(['', 'not-a-place'])]
    #[TestWith(['Rill', 'not-a-place'])]
    #[TestWith(['forty', 'not-a-place'])]
    #[TestWith(['3.7 W', 'not-a-place'])]
    #[TestWith(['1e999', 'not-a-place'])]
    #[TestWith(['40, 3, 5', 'not-a-place'])]
    #[TestWith(['66.1', 'too-far'])]
    #[TestWith(['S 90', 'too-far'])]
    #[TestWith(['40 N, 9000 m', 'too-high'])]
    public function testWhatIsNoPlaceIsSaidSo(string $text, string $why): void
    {
        $this->expectException(InvalidWhereabouts::class);
        $this->expectExceptionMessage($why);
        Whereabouts::parse($text);
    }
}
