<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Storage;

use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Stores;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Worked by hand from the rules: 2.5 times for ten degrees, half a day for each degree below the chilling limit. */
final class ShelfLifeTest extends TestCase
{
    /** Carrots best at 0: at 10 they use up 2.5 days a day, at 20 6.25; squash best at 13, chilled below 10: at 5 3.5 days a day. */
    #[TestWith(['carrot-storage', 0.0, 1.0])]
    #[TestWith(['carrot-storage', 10.0, 2.5])]
    #[TestWith(['carrot-storage', 20.0, 6.25])]
    #[TestWith(['squash-winter', 13.0, 1.0])]
    #[TestWith(['squash-winter', 10.0, 1.0])]
    #[TestWith(['squash-winter', 5.0, 3.5])]
    #[TestWith(['squash-winter', 23.0, 2.5])]
    #[TestWith(['onion', 12.5, 3.1436])]
    #[TestWith(['onion', 25.0, 1.5811])]
    #[TestWith(['potato-storage', 5.0, 1.0])]
    #[TestWith(['potato-storage', 1.0, 2.0])]
    public function testByWarmth(string $crop, float $celsius, float $rate): void
    {
        self::assertEqualsWithDelta($rate, self::life($crop)->rate($celsius), 1e-3);
    }

    /** Frozen is spoiled in a day. */
    public function testFrost(): void
    {
        self::assertSame([270.0, 1.0], [self::life('carrot-storage')->rate(-1.5), self::life('carrot-storage')->rate(-1.0)]);
    }

    /** Carrots wilt in dry air: 58 points where 98 are best use up 1.875 days; onions rot in damp air, not in dry. */
    #[TestWith(['carrot-storage', 98.0, 1.0])]
    #[TestWith(['carrot-storage', 93.0, 1.0])]
    #[TestWith(['carrot-storage', 58.0, 1.875])]
    #[TestWith(['onion', 40.0, 1.0])]
    #[TestWith(['onion', 85.0, 2.5])]
    public function testByDamp(string $crop, float $humidity, float $rate): void
    {
        $life = self::life($crop);

        self::assertEqualsWithDelta($rate, $life->rate($life->needs->celsius, $humidity), 1e-9);
    }

    /** Nights below 10 degrees C begin to count against squash, 5 count fully; carrots do not mind. */
    public function testColdNightsBeforeTheHarvest(): void
    {
        $nights = [11.0, 10.0, 7.5, 5.0, 2.0];

        self::assertSame([0.0, 0.0, 0.5, 1.0, 1.0], array_map(ShelfLife::coldNight(...), $nights));
        self::assertEqualsWithDelta([0.9, 1.0, 0.5],
            [self::life('squash-winter')->intake([], $nights), self::life('carrot-storage')->intake([],
                $nights), self::life('squash-winter')->intake([], array_fill(0, 40, 0.0))], 1e-9);
    }

    public function testHowItCameIn(): void
    {
        self::assertEqualsWithDelta([0.8, 0.4, 1.0], [self::life('onion')->intake([Flaw::Wet]), self::life('onion')->intake([Flaw::Wet,
            Flaw::Bruised]), self::life('onion')->intake([])], 1e-9);
    }

    /** Common practice: butternut from September into March; acorn types two months and never cured; tomatoes spoil cucumbers. */
    public function testByType(): void
    {
        $long = Stores::keeping()->of(Book::crops()->get('squash-winter-long'));
        $short = Stores::keeping()->of(Book::crops()->get('squash-winter-short'));
        $of = static fn (string $crop) => Stores::keeping()->of(Book::crops()->get($crop));

        self::assertSame([180, 180, 60, null], [$long->most, $long->likely, $short->most, $short->traits->curing]);
        self::assertEqualsWithDelta([27.0, 14, 20], [$long->traits->curing?->celsius, $long->traits->curing?->least,
            $long->traits->curing?->most], 0.01);
        self::assertSame([true, false], [$of('tomato')->harms($of('cucumber')), $of('cucumber')->harms($of('tomato'))]);
    }

    private static function life(string $crop): ShelfLife
    {
        return new ShelfLife(Stores::keeping()->of(Book::crops()->get($crop)));
    }
}
