<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Harvest;

use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Rhythm;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\TestCase;

final class HarvestCurveTest extends TestCase
{
    public function testEveryCropGivesItsWholeYield(): void
    {
        foreach (Book::crops()->all() as $crop) {
            self::assertEqualsWithDelta(1.0, array_sum(HarvestCurve::shares($crop->pattern, $crop->rhythm)), 1e-9, $crop->key);
        }
    }

    /** Three cuts, each eight tenths of the one before: 1 / 2.44, 0.8 / 2.44, 0.64 / 2.44. */
    public function testCutsShrink(): void
    {
        $shares = HarvestCurve::shares(Pattern::Cuts, new Rhythm(3, 16, 0.8, 1, 0, 0, null));

        self::assertSame([0, 16, 32], array_keys($shares));
        self::assertEqualsWithDelta([1 / 2.44, 0.8 / 2.44, 0.64 / 2.44], array_values($shares), 1e-9);
    }

    public function testPickingClimbsStaysAndSinks(): void
    {
        $shares = HarvestCurve::shares(Pattern::Picking, new Rhythm(1, 3, 1.0, 60, 15, 0, null));
        $most = max($shares);

        self::assertEqualsWithDelta(0.4, $shares[0] / $most, 1e-9);
        self::assertEqualsWithDelta(1.0, $shares[15] / $most, 1e-9);
        self::assertEqualsWithDelta(1.0, $shares[39] / $most, 1e-9);
        self::assertLessThan(0.5, $shares[57] / $most);
        self::assertSame(range(0, 57, 3), array_keys($shares));
    }
}
